import { isTextKey, sentence } from "../sentence";

/** What a mail is called, by its template: its subject, without the names that stand in it. */
export function mailTitle(template: string): string {
  const key = `mail.${template}.subject`;
  return isTextKey(key) ? sentence("en", key).replace(/\{\w+\}/gu, "…") : template;
}
