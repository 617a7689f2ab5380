import type { ChoiceRefusal, ChoiceRules } from "../../core/catalogue/choice-rules";
import type { Locale, LocalText } from "../../core/text/local-text";
import { sentence } from "../sentence";
import { fieldName } from "./code-lists";

/** The rules of a procedure about choices, said before anybody invests work. */
export function choiceRuleLines(
  locale: Locale,
  { title, rules }: { readonly title: LocalText; readonly rules: ChoiceRules },
): readonly string[] {
  return [
    sentence(locale, "rules.most", { procedure: title[locale], most: rules.most }),
    ...(rules.least > 1 ? [sentence(locale, "rules.least", { least: rules.least })] : []),
    ...(rules.ranked && rules.most > 1 ? [sentence(locale, "rules.ranked")] : []),
    ...(rules.ranked && rules.undertaking
      ? [sentence(locale, "rules.undertaking", { promise: rules.undertaking[locale] })]
      : []),
    ...rules.limits.map((limit) =>
      limit.by === "level"
        ? sentence(locale, "rules.level", { most: limit.most, level: sentence(locale, `level.${limit.value}`) })
        : sentence(locale, "rules.field", { most: limit.most, field: fieldName(locale, limit.value) }),
    ),
    ...rules.exclusive.map(([one, other]) => sentence(locale, "rules.exclusive", { one, other })),
  ];
}

/** Which rule stops a further choice, and what can be done. */
export function choiceRefusalText(locale: Locale, refusal: ChoiceRefusal): string {
  switch (refusal.code) {
    case "held":
      return sentence(locale, "rule.held");
    case "too-many":
      return sentence(locale, "rule.too-many", { most: refusal.most });
    case "too-many-of-level":
      return sentence(locale, "rule.too-many-of-level", {
        most: refusal.most,
        level: sentence(locale, `level.${refusal.level}`),
      });
    case "too-many-of-field":
      return sentence(locale, "rule.too-many-of-field", {
        most: refusal.most,
        field: fieldName(locale, refusal.field),
      });
    case "excluded-by":
      return sentence(locale, "rule.excluded-by", { other: refusal.other });
  }
}
