/** What comes when, and who had a file for how long. */
export const turns = {
  "schedule.title": "What comes when",
  "schedule.submitted": "Submitted",
  "schedule.complete": "Everything is here",
  "schedule.decision": "Decision",
  "schedule.answer": "Your answer to an offer",
  "schedule.start": "First day",
  "schedule.by": "by {day}",
  "schedule.complete.open": "as soon as we have received and checked all that counts",
  "schedule.decision.within": "within {days, plural, one {# working day} other {# working days}} after that",
  "schedule.decision.still":
    "{days, plural, one {# working day} other {# working days}} of ours are left; the day is worked out anew when it is our turn again",
  "schedule.answer.within": "within {days, plural, one {# working day} other {# working days}} of an offer",
  "schedule.moved":
    "First said: {day}. It is {days, plural, one {# working day} other {# working days}} later, because our time stands still while we wait for you or for others.",
  "programme.times":
    "Of {count} decisions so far, half took us at most {half, plural, one {# working day} other {# working days}}, nine of ten at most {nine, plural, one {# working day} other {# working days}}. The time in which we wait for applicants, referees or payments is not counted.",
  "spent.summary":
    "Since {since}: {own, plural, =0 {no working day} one {# working day} other {# working days}} with us, {others, plural, =0 {none} one {# working day} other {# working days}} with you or with others.",
  "spent.office.summary":
    "Since the submission on {since}: {own, plural, =0 {no working day} one {# working day} other {# working days}} of our own, {others, plural, =0 {none} one {# working day} other {# working days}} of others.",
  "spent.days": "{days, plural, one {# day} other {# days}}",
  "spent.since": "since {from}",
  "spent.between": "{from} to {to}",
  "spent.show": "Show each stretch",
  "spent.turn.office": "With us",
  "spent.turn.faculty": "With the faculty",
  "spent.turn.applicant": "With you",
  "spent.turn.payment": "Waiting for the payment",
  "spent.turn.third party": "With referees, registries or others",
  "spent.turn.nobody": "With nobody",
};
