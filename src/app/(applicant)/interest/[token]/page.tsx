import { sentence } from "../../../../text/sentence";
import { AccountForm } from "../../../../ui/people/account-form.client";
import { locale } from "../../../request";
import { forgetInterestAction } from "../interest.action";

/** Takes an address out that waits for an opening. Mail programs open links by themselves, so nothing happens before the button. */
export default async function InterestPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const language = await locale();
  const t = (key: Parameters<typeof sentence>[1]) => sentence(language, key);
  return (
    <div className="sheet narrow">
      <h1>{t("interest.forget")}</h1>
      <AccountForm
        unavailable={t("account.unavailable")}
        action={forgetInterestAction}
        intro={t("interest.forgetIntro")}
        hidden={{ token }}
        submit={t("interest.forget")}
        fields={[]}
        problems={{ linkEnded: { text: t("account.linkEnded") } }}
        done={<p>{t("interest.forgotten")}</p>}
      />
    </div>
  );
}
