import { webRuntime } from "../../runtime";

/** For load balancers and start scripts: whether this process can answer and reach the database. */
export async function GET(): Promise<Response> {
  try {
    const { pool } = await webRuntime();
    await pool.query("select 1");
    return Response.json({ state: "well" });
  } catch {
    return Response.json({ state: "no database" }, { status: 503 });
  }
}
