import Link from "next/link";
import { sentence } from "../../../../text/sentence";
import { AccountForm } from "../../../../ui/people/account-form.client";
import { linkPurpose } from "../../../../views/mail/link-purpose";
import { locale, see, VISITOR } from "../../../request";
import { confirmAction, setPasswordAction } from "../../account/account.action";

/** Where a mailed link leads. Mail programs open links by themselves, so nothing happens before the button is pressed. */
export default async function LinkPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const language = await locale();
  const t = (key: Parameters<typeof sentence>[1]) => sentence(language, key);
  const link = await see(linkPurpose, VISITOR, { token });
  const password = (label: string) =>
    ({
      name: "password",
      kind: "password",
      label,
      help: t("account.passwordHelp"),
      autoComplete: "new-password",
    }) as const;
  const problems = {
    badName: { text: t("account.badName"), field: "name" },
    badPassword: { text: t("account.badPassword"), field: "password" },
    passwordFromForm: { text: t("account.passwordFromForm"), field: "password" },
    passwordGuessed: { text: t("account.passwordGuessed"), field: "password" },
    linkEnded: { text: t("account.linkEnded") },
  };
  if (link?.purpose === "confirm address")
    return (
      <div className="sheet narrow">
        <h1>{t("account.confirmTitle")}</h1>
        <AccountForm
          unavailable={t("account.unavailable")}
          action={confirmAction}
          intro={sentence(language, "account.confirmIntro", { email: link.email })}
          hidden={{ token }}
          submit={t("account.confirm")}
          fields={[
            {
              name: "name",
              kind: "text",
              label: t("account.name"),
              help: t("account.nameHelp"),
              autoComplete: "name",
              initial: link.name,
            },
            password(t("account.password")),
          ]}
          problems={problems}
          done={null}
        />
      </div>
    );
  if (link?.purpose === "set password")
    return (
      <div className="sheet narrow">
        <h1>{t("account.lostTitle")}</h1>
        <AccountForm
          unavailable={t("account.unavailable")}
          action={setPasswordAction}
          hidden={{ token }}
          submit={t("account.setPassword")}
          fields={[password(t("account.newPassword"))]}
          problems={problems}
          done={
            <>
              <p>{t("account.setPasswordDone")}</p>
              <p>
                <Link href="/sign-in">{t("account.signIn")}</Link>
              </p>
            </>
          }
        />
      </div>
    );
  return (
    <div className="sheet narrow">
      <h1>{t("refused.link-ended")}</h1>
      <p>{t("account.linkEnded")}</p>
      <p>
        <Link href="/lost-password">{t("account.lost")}</Link>
      </p>
    </div>
  );
}
