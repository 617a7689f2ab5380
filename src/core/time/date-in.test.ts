import { expect, it } from "vitest";
import { dateIn } from "./date-in";

it.each([
  ["Europe/Dublin", "2027-01-31T23:59:59.999Z", "2027-01-31"],
  ["Europe/Dublin", "2027-06-30T22:59:59Z", "2027-06-30"],
  ["Europe/Dublin", "2027-06-30T23:00:00Z", "2027-07-01"],
  ["Pacific/Kiritimati", "2027-06-30T10:00:00Z", "2027-07-01"],
  ["America/Paramaribo", "2027-01-01T02:59:59Z", "2026-12-31"],
])("in %s it is at %s the day %s", (zone, instant, date) => expect(dateIn(zone, instant)).toBe(date));
