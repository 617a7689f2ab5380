/** Runs once when a web process starts: the database is brought up to date before the first request. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs" || !process.env.DATABASE_URL) return;
  const { migrateDatabase } = await import("./db/migrate");
  await migrateDatabase(process.env.DATABASE_URL);
}
