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
  const purpose = await see(linkPurpose, VISITOR, { token });
  const toSignIn = (
    <p>
      <Link href="/sign-in">{t("account.signIn")}</Link>
    </p>
  );
  if (purpose === "confirm address")
    return (
      <div className="sheet narrow">
        <h1>{t("account.confirmTitle")}</h1>
        <AccountForm
          unavailable={t("account.unavailable")}
          action={confirmAction}
          intro={t("account.confirmIntro")}
          hidden={{ token }}
          submit={t("account.confirm")}
          fields={[]}
          problems={{ linkEnded: { text: t("account.linkEnded") } }}
          done={
            <>
              <p>{t("account.confirmed")}</p>
              {toSignIn}
            </>
          }
        />
      </div>
    );
  if (purpose === "set password")
    return (
      <div className="sheet narrow">
        <h1>{t("account.lostTitle")}</h1>
        <AccountForm
          unavailable={t("account.unavailable")}
          action={setPasswordAction}
          hidden={{ token }}
          submit={t("account.setPassword")}
          fields={[
            {
              name: "password",
              kind: "password",
              label: t("account.newPassword"),
              help: t("account.passwordHelp"),
              autoComplete: "new-password",
            },
          ]}
          problems={{
            badPassword: { text: t("account.badPassword"), field: "password" },
            linkEnded: { text: t("account.linkEnded") },
          }}
          done={
            <>
              <p>{t("account.setPasswordDone")}</p>
              {toSignIn}
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
