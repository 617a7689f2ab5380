import { sentence } from "../../../text/sentence";
import { locale, requirePerson } from "../../request";
import { signOutAll } from "./sign-out.action";

export default async function AccountPage() {
  const language = await locale();
  const person = await requirePerson("/account");
  const t = (key: Parameters<typeof sentence>[1]) => sentence(language, key);
  return (
    <div className="sheet narrow">
      <h1>{t("account.title")}</h1>
      <dl className="pairs">
        <dt>{t("account.name")}</dt>
        <dd>{person.actor.name}</dd>
        <dt>{t("account.email")}</dt>
        <dd>{person.email}</dd>
        <dt>{t("account.languageTitle")}</dt>
        <dd>{person.locale === "fr" ? "Français" : "English"}</dd>
      </dl>
      <form action={signOutAll}>
        <p className="help">{t("account.everywhereHelp")}</p>
        <button type="submit" className="plain-button">
          {t("account.everywhere")}
        </button>
      </form>
    </div>
  );
}
