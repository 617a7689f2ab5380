import Link from "next/link";
import { say } from "../text/say";
import { locale } from "./request";

export default async function NotFound() {
  const language = await locale();
  return (
    <main className="sheet narrow">
      <h1>{say(language, "error.notFound")}</h1>
      <p>{say(language, "error.notFoundText")}</p>
      <p>
        <Link href="/">{say(language, "error.home")}</Link>
      </p>
    </main>
  );
}
