import Link from "next/link";
import { sentence } from "../../../text/sentence";
import { AccountForm } from "../../../ui/people/account-form.client";
import { locale } from "../../request";
import { sendAgainAction, signUpAction } from "../account/account.action";

export default async function SignUpPage({ searchParams }: { searchParams: Promise<{ to?: string }> }) {
  const language = await locale();
  const { to } = await searchParams;
  const t = (key: Parameters<typeof sentence>[1]) => sentence(language, key);
  return (
    <div className="sheet narrow">
      <h1>{t("account.signUpTitle")}</h1>
      <AccountForm
        unavailable={t("account.unavailable")}
        action={signUpAction}
        hidden={{ to: to ?? "" }}
        submit={t("account.signUp")}
        fields={[
          { name: "name", kind: "text", label: t("account.name"), help: t("account.nameHelp"), autoComplete: "name" },
          { name: "email", kind: "email", label: t("account.email"), autoComplete: "email" },
          { name: "consent", kind: "check", label: t("account.consent") },
        ]}
        problems={{
          badName: { text: t("account.badName"), field: "name" },
          badEmail: { text: t("account.badEmail"), field: "email" },
          noConsent: { text: t("account.noConsent"), field: "consent" },
        }}
        done={
          <>
            <p>{t("account.signUpDone")}</p>
            <h2>{t("account.noMail")}</h2>
            <AccountForm
              unavailable={t("account.unavailable")}
              action={sendAgainAction}
              submit={t("account.sendAgain")}
              fields={[{ name: "email", kind: "email", label: t("account.email"), autoComplete: "email" }]}
              problems={{}}
              done={<p>{t("account.sentAgain")}</p>}
            />
          </>
        }
      />
      <p>
        <Link href={to ? `/sign-in?to=${encodeURIComponent(to)}` : "/sign-in"}>{t("account.signIn")}</Link>
      </p>
    </div>
  );
}
