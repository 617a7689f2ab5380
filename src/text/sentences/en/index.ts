import { application } from "./application";
import { assessment } from "./assessment";
import { catalogue } from "./catalogue";
import { contact } from "./contact";
import { copies } from "./copies";
import { decision } from "./decision";
import { evidence } from "./evidence";
import { form } from "./form";
import { frame } from "./frame";
import { mail } from "./mail";
import { payments } from "./payments";
import { people } from "./people";
import { references } from "./references";
import { results } from "./results";
import { rules } from "./rules";
import { rulings } from "./rulings";
import { statements } from "./statements";
import { turns } from "./turns";

/** The English sentences of the applicant's and the referee's side, and of all mails. */
export const en = {
  ...application,
  ...assessment,
  ...catalogue,
  ...contact,
  ...copies,
  ...decision,
  ...evidence,
  ...form,
  ...frame,
  ...mail,
  ...payments,
  ...people,
  ...references,
  ...results,
  ...rules,
  ...rulings,
  ...statements,
  ...turns,
} as const;
