import { programmeName } from "../../../../../core/catalogue/programme";
import type { Locale } from "../../../../../core/text/local-text";
import { webRuntime } from "../../../../../runtime";
import { formatMoney } from "../../../../../text/format";
import { sentence } from "../../../../../text/sentence";
import { feeTitle } from "../../../../../text/words/fee";
import { PayPress } from "../../../../../ui/payments/pay-press.client";
import type { MyApplication } from "../../../../../views/application/application-data";
import { pay } from "../application.action";

/** One name where one thing is charged; where there are several, each charge has its own below. */
export function feesTitle(application: Pick<MyApplication, "assessment">, language: Locale): string | null {
  const titles = new Set(
    application.assessment.requirements.filter((r) => r.kind === "fee").map((r) => r.title[language]),
  );
  const [only = null] = titles;
  return titles.size > 1 ? sentence(language, "fee.all") : only;
}

/** What is due, by charge, each with its own payment reference. */
export async function FeePage({ application, language }: { application: MyApplication; language: Locale }) {
  const { card } = await webRuntime();
  const due = application.charges.filter((c) => c.minor > 0 || c.paidMinor > 0);
  return (
    <>
      <h2 className="page-title">{feesTitle(application, language)}</h2>
      {application.assessment.file.group === null ? <p>{sentence(language, "fee.unknown")}</p> : null}
      {application.assessment.file.group !== null && due.length === 0 ? <p>{sentence(language, "fee.none")}</p> : null}
      {due.map((charge) => {
        const open = charge.minor - charge.paidMinor;
        const amount = formatMoney(language, { minor: Math.max(open, 0), currency: charge.currency });
        const fee = application.assessment.fees.find((f) => f.item === charge.item && f.scope === charge.scope);
        const programme = application.choices.find((c) => c.id === charge.scope);
        return (
          <section key={charge.id} className="charge">
            <p className="serif next-sentence">
              {open > 0 ? sentence(language, "fee.due", { amount }) : sentence(language, "fee.paid")}
            </p>
            <p>{fee ? feeTitle(fee, language) : null}</p>
            <p className="quiet">
              {programme ? `${programmeName(programme, language)} · ` : ""}
              {sentence(language, "fee.reference", { reference: charge.reference })}
            </p>
            {open > 0 && charge.last === "declined" ? (
              <p className="wrong">{sentence(language, "fee.declined")}</p>
            ) : null}
            {open > 0 && charge.last === "abandoned" ? (
              <p className="wrong">{sentence(language, "fee.abandoned")}</p>
            ) : null}
            {open < 0 ? (
              <p>
                {sentence(language, "fee.overpaid", {
                  amount: formatMoney(language, { minor: -open, currency: charge.currency }),
                })}
              </p>
            ) : null}
            {open > 0 && card ? (
              <PayPress
                action={pay.bind(null, application.number, application.id, charge.id)}
                label={sentence(language, "fee.pay", { amount })}
              />
            ) : null}
            {open > 0 && !card ? <p>{sentence(language, "fee.noCard")}</p> : null}
          </section>
        );
      })}
      <p className="quiet">{sentence(language, "fee.change")}</p>
    </>
  );
}
