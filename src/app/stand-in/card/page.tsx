import { notFound } from "next/navigation";
import { readOrder } from "../../../outside/card";
import { webRuntime } from "../../../runtime";
import { formatMoney } from "../../../text/format";
import { answerOrder } from "./answer.action";

const ANSWERS = [
  ["booked", "The card is good"],
  ["twice", "The card is good, and the answer comes twice"],
  ["declined", "The card is declined"],
  ["abandoned", "The payer gives up"],
] as const;

/** The card stand-in's own page: an outside service in small, which does what one of its buttons says. */
export default async function CardPage({
  searchParams,
}: {
  searchParams: Promise<{ order?: string; signature?: string }>;
}) {
  const { order = "", signature = "" } = await searchParams;
  const { settings, card } = await webRuntime();
  const payment = card && readOrder(settings.secret, order, signature);
  if (!payment) notFound();
  return (
    <main className="stand-in">
      <h1>Simulated card service</h1>
      <p>This page stands in for an outside card service. No card is needed and no money moves.</p>
      <p className="strong">
        {formatMoney("en", { minor: payment.minor, currency: payment.currency })} to Merrow Institute of Coast and Water
      </p>
      {ANSWERS.map(([result, label]) => (
        <form key={result} action={answerOrder}>
          <input type="hidden" name="order" value={order} />
          <input type="hidden" name="signature" value={signature} />
          <input type="hidden" name="result" value={result} />
          <button type="submit" className="plain-button">
            {label}
          </button>
        </form>
      ))}
    </main>
  );
}
