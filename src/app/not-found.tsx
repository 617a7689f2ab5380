import { NothingHere } from "./nothing-here";
import { locale } from "./request";

export default async function NotFound() {
  return (
    <main className="sheet narrow">
      <NothingHere language={await locale()} home="/" />
    </main>
  );
}
