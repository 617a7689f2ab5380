/** What an applicant reads of the entry rules after submission. */
export const toldRulesEn = {
  "app.rules": "How the entry rules stand",
  "app.rulesNote":
    "Worked out from what you stated, with the numbers behind it. The office confirms it from your documents, and that decides.",
  "app.ruleConfirmed": "from your documents",
  "app.ruleClaimed": "from what you stated",
  "app.ruleWay": "It can still be met {way}.",
} as const;

export const toldRulesFr: Readonly<Record<keyof typeof toldRulesEn, string>> = {
  "app.rules": "Où en sont les conditions d’entrée",
  "app.rulesNote":
    "Calculé d’après ce que vous avez indiqué, avec les nombres. Le bureau le confirme d’après vos documents, et cela décide.",
  "app.ruleConfirmed": "d’après vos documents",
  "app.ruleClaimed": "d’après vos indications",
  "app.ruleWay": "Cela peut encore être rempli {way}.",
};
