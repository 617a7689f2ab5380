import type { MailGroup } from "../../core/mail/templates";

/** What mails are about, for the office. */
export const MAIL_GROUP_WORDS: Readonly<Record<MailGroup, string>> = {
  account: "Accounts",
  before: "Before something is sent",
  application: "The application",
  asks: "What is asked for",
  others: "Referees and others who sign",
  decision: "Decision and answer",
};
