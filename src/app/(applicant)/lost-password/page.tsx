import { sentence } from "../../../text/sentence";
import { AccountForm } from "../../../ui/people/account-form.client";
import { locale } from "../../request";
import { lostPasswordAction } from "../account/account.action";

export default async function LostPasswordPage() {
  const language = await locale();
  const t = (key: Parameters<typeof sentence>[1]) => sentence(language, key);
  return (
    <div className="sheet narrow">
      <h1>{t("account.lostTitle")}</h1>
      <p>{t("account.lostIntro")}</p>
      <AccountForm
        unavailable={t("account.unavailable")}
        action={lostPasswordAction}
        submit={t("account.lostSend")}
        fields={[{ name: "email", kind: "email", label: t("account.email"), autoComplete: "email" }]}
        problems={{}}
        done={<p>{t("account.sentAgain")}</p>}
      />
    </div>
  );
}
