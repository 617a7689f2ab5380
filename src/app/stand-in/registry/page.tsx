import { notFound } from "next/navigation";
import { webRuntime } from "../../../runtime";
import { registryRecords, registryStore } from "../../../views/results/registry-store";
import { changeMode } from "./mode.action";

/** The registry stand-in's own page: what it holds, and whether it is slow or down. */
export default async function RegistryPage() {
  const { settings, pool } = await webRuntime();
  if (!settings.demo) notFound();
  const [records, mode] = await Promise.all([registryRecords(pool), registryStore(pool).mode()]);
  return (
    <main className="stand-in">
      <h1>Simulated registry of examinations</h1>
      <p>This page stands in for an outside registry. Officers ask it by board, year and candidate number.</p>
      <form className="inline-form" action={changeMode}>
        <label htmlFor="down">It is</label>
        <select id="down" name="down" defaultValue={mode.down ? "yes" : "no"}>
          <option value="no">up</option>
          <option value="yes">down</option>
        </select>
        <label htmlFor="seconds">and answers after</label>
        <input
          id="seconds"
          name="seconds"
          type="number"
          min={0}
          max={60}
          step={0.1}
          defaultValue={mode.delayMs / 1000}
        />
        <span>seconds</span>
        <button type="submit" className="plain-button">
          Keep it so
        </button>
      </form>
      {records.length === 0 ? <p className="empty">It holds no results.</p> : null}
      {records.map((r) => (
        <article key={`${r.board} ${r.year} ${r.candidate}`} className="mail">
          <h2>{r.name}</h2>
          <p className="quiet">
            {r.board} · {r.year} · candidate {r.candidate}
          </p>
          <p>{r.results.map((x) => `${x.subject} ${x.mark}`).join(", ")}</p>
        </article>
      ))}
    </main>
  );
}
