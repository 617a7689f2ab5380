import { isNotKnown } from "../../core/answers/not-known";
import type { Json } from "../../core/file/facts";
import type { Field } from "../../core/rulebook/section";
import type { Registers } from "../../core/standards/reference-set";
import { registerOptions } from "../../core/standards/register-options";
import type { Locale } from "../../core/text/local-text";
import { countryName, formatDate, languageName } from "../format";
import { sentence } from "../sentence";

interface AddressValue {
  readonly same?: boolean;
  readonly street?: string;
  readonly postcode?: string;
  readonly town?: string;
  readonly region?: string;
  readonly country?: string;
}

function addressText(locale: Locale, { same, street, postcode, town, region, country }: AddressValue): string {
  if (same) return sentence(locale, "field.same");
  const place = [postcode, town].filter(Boolean).join(" ");
  return [street, place, region, country ? countryName(locale, country) : ""].filter(Boolean).join(", ");
}

function listItemText(locale: Locale, field: Pick<Field, "kind" | "options">, value: string): string {
  if (field.kind === "countries") return countryName(locale, value);
  return field.options?.find((o) => o.value === value)?.title[locale] ?? value;
}

export const NOTHING_SAID = "—";

/** A value in words: codes become names, dates get month names; "—" where nobody has answered. */
export function valueText(
  locale: Locale,
  field: Pick<Field, "kind" | "options" | "currency">,
  value: Json,
  office: Registers,
): string {
  if (value === null || value === "") return NOTHING_SAID;
  if (isNotKnown(value)) return sentence(locale, "form.notKnown");
  if (typeof value === "boolean") return sentence(locale, value ? "form.yes" : "form.no");
  if (Array.isArray(value))
    return value.map((v) => listItemText(locale, field, String(v))).join(field.kind === "links" ? "\n" : ", ");
  if (typeof value === "object" && field.kind === "address") return addressText(locale, value as AddressValue);
  if (typeof value === "object")
    return Object.entries(value)
      .map(([part, score]) => `${part} ${String(score)}`)
      .join(" · ");
  const text = String(value);
  switch (field.kind) {
    case "money":
      return `${text} ${field.currency ?? ""}`.trim();
    case "country":
      return countryName(locale, text);
    case "language":
      return languageName(locale, text);
    case "date":
      return formatDate(locale, text);
    case "scale":
      return office.scales.find((s) => s.key === text)?.title[locale] ?? sentence(locale, "form.other");
    case "area":
    case "test":
    case "paper":
    case "graduateOf":
      return registerOptions(field.kind, office)?.find((o) => o.value === text)?.title[locale] ?? text;
    case "choice":
    case "entry":
      return field.options?.find((o) => o.value === text)?.title[locale] ?? text;
    default:
      return text;
  }
}
