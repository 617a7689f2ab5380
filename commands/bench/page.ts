import { createServer } from "node:http";
import type pg from "pg";
import { createElement as h } from "react";
import { renderToString } from "react-dom/server";
import { COLUMNS } from "./list";
import { report, time } from "./measure";

/** A server of the plainest kind: the same fifty rows as a table, rendered by React and nothing else. */
async function plainTable(pool: pg.Pool): Promise<{ readonly url: string; readonly close: () => void }> {
  const server = createServer((_, response) => {
    void pool
      .query<Record<string, unknown>>(
        `select ${COLUMNS} from file_standing s where turn = 'office' order by s.order_at, s.number limit 50`,
      )
      .then(({ rows, fields }) => {
        const cells = (row: Record<string, unknown>) =>
          fields.map((f) => h("td", { key: f.name }, String(row[f.name])));
        const lines = rows.map((row, i) => h("tr", { key: i }, cells(row)));
        response.setHeader("content-type", "text/html");
        response.end(`<!doctype html>${renderToString(h("table", null, h("tbody", null, lines)))}`);
      });
  });
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  const address = server.address();
  if (address === null || typeof address === "string") throw new Error("the plain server has no port");
  return { url: `http://127.0.0.1:${address.port}/`, close: () => void server.close() };
}

async function sizeOf(url: string, cookie: string): Promise<number> {
  const response = await fetch(url, { headers: { cookie }, redirect: "manual" });
  if (response.status !== 200) throw new Error(`${url} answered ${response.status}`);
  return (await response.text()).length;
}

/**
 * The turn list as a page over 100,000 files, beside a plain server-rendered table of the same rows.
 * @param appUrl where the built application listens
 * @param cookie the session of an officer
 */
export async function benchPage(pool: pg.Pool, appUrl: string, cookie: string): Promise<void> {
  const plain = await plainTable(pool);
  try {
    const floor = await time(30, () => sizeOf(plain.url, ""));
    const page = await time(30, () => sizeOf(`${appUrl}/office`, cookie));
    report(
      "the turn list's page, 50 lines",
      `${page.toFixed(0)} ms, ${Math.round((await sizeOf(`${appUrl}/office`, cookie)) / 1024)} kB (plain ${floor.toFixed(0)} ms)`,
      page / floor,
      "at most 1.6 (25 ms against 16)",
      page <= floor * 1.6,
    );
  } finally {
    plain.close();
  }
}
