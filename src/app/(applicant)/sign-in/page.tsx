import Link from "next/link";
import { canHavePasskeys } from "../../../auth/passkeys";
import { webRuntime } from "../../../runtime";
import { sentence } from "../../../text/sentence";
import { AccountForm } from "../../../ui/people/account-form.client";
import { PasskeySignIn } from "../../../ui/people/passkey-sign-in.client";
import { locale } from "../../request";
import { passkeyChallengeAction, passkeySignInAction, signInAction } from "../account/account.action";

export default async function SignInPage({ searchParams }: { searchParams: Promise<{ to?: string }> }) {
  const language = await locale();
  const { to } = await searchParams;
  const t = (key: Parameters<typeof sentence>[1]) => sentence(language, key);
  return (
    <div className="sheet narrow">
      <h1>{t("account.signInTitle")}</h1>
      <AccountForm
        unavailable={t("account.unavailable")}
        action={signInAction}
        submit={t("account.signIn")}
        hidden={{ to: to ?? "" }}
        fields={[
          { name: "email", kind: "email", label: t("account.email"), autoComplete: "username" },
          { name: "password", kind: "password", label: t("account.password"), autoComplete: "current-password" },
        ]}
        problems={{ wrong: { text: t("account.wrong") }, locked: { text: t("account.locked") } }}
        done={null}
      />
      {canHavePasskeys((await webRuntime()).settings.url) ? (
        <PasskeySignIn
          locale={language}
          to={to ?? ""}
          challenge={passkeyChallengeAction}
          signIn={passkeySignInAction}
        />
      ) : null}
      <p>
        <Link href="/lost-password">{t("account.lost")}</Link>
      </p>
      <p>
        <Link href={to ? `/sign-up?to=${encodeURIComponent(to)}` : "/sign-up"}>{t("account.signUp")}</Link>
      </p>
    </div>
  );
}
