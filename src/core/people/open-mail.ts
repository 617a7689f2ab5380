/**
 * Where anybody can open a mailbox: the names of such services, without what follows them in a domain. The list is long enough for what
 * people use, and never whole.
 */
const SERVICES = new Set(
  `gmail googlemail outlook hotmail live msn yahoo ymail rocketmail icloud mac aol gmx proton protonmail pm tutanota tuta zoho yandex
   laposte wanadoo libero seznam wp onet interia rediffmail uol bol terra qq 163 126 sina naver daum hanmail inbox fastmail hey mail`.split(
    /\s+/u,
  ),
);

/** Services whose whole domain has to be meant: the word alone would mean others, too. */
const DOMAINS = new Set([
  "web.de",
  "t-online.de",
  "orange.fr",
  "free.fr",
  "sfr.fr",
  "o2.pl",
  "me.com",
  "bk.ru",
  "list.ru",
]);

/** Endings under which countries keep names for companies: the name stands before both parts. */
const SECOND_LEVELS = new Set(["co", "com", "net", "org"]);

/**
 * Whether anybody can open a mailbox at a domain.
 * @param domain in small letters
 */
export function isOpenMail(domain: string): boolean {
  const parts = domain.split(".");
  const [name = "", second = ""] = [parts.at(-2), parts.at(-3)];
  const registered = SECOND_LEVELS.has(name) && parts.length > 2 ? second : name;
  return SERVICES.has(registered) || DOMAINS.has(parts.slice(-2).join("."));
}
