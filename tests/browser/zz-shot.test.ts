import pg from "pg";
import { it } from "vitest";
import { newPerson, signIn } from "../support/browser";
import { openDemo } from "../support/demo";

it("shots", async () => {
  const demo = await openDemo("shots");
  const pool = new pg.Pool({ connectionString: demo.databaseUrl, max: 2 });
  const work = (await import(/* @vite-ignore */ process.env.SHOT as string)).default;
  try {
    await work({
      pool,
      url: demo.url,
      signIn: async (email: string, size: { width: number; height: number } = { width: 1280, height: 800 }) => {
        const p = await newPerson(demo, size as never);
        await p.page.setViewportSize(size);
        if (email) await signIn(p, email);
        return p;
      },
    });
  } finally {
    await pool.end();
    await demo.close();
  }
}, 3_000_000);
