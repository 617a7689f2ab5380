import type { en } from "../en";
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

/** The French sentences; the types see to it that none is missing. */
export const fr: Readonly<Record<keyof typeof en, string>> = {
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
};
