import type { PlainDate } from "../../core/ids";
import type { Story } from "../story";
import { checking } from "./checking";
import { decided } from "./decided";
import { elsewhere } from "./elsewhere";
import { grades } from "./grades";
import { tellingOf } from "./moments";
import { records } from "./records";
import { waiting } from "./waiting";

/**
 * The demo's files, each with what an officer must find on the anchor day. Dates are counted from the anchor, so that the
 * demo is as fresh on any day; a test holds every expectation.
 */
export function stories(anchor: PlainDate, start: PlainDate): readonly Story[] {
  const telling = tellingOf(anchor, start);
  return [checking, grades, waiting, decided, elsewhere, records].flatMap((tell) => tell(telling));
}
