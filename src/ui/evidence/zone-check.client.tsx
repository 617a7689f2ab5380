"use client";

import { Button, Input } from "antd";
import { useId, useState } from "react";
import { compareZone, type DocumentClaims, type ZoneLine } from "../../core/people/compare-zone";
import { readZone, type ZoneError } from "../../core/people/travel-document";
import { dateIn } from "../../core/time/date-in";
import { countryName, formatDate } from "../../text/format";
import type { ClaimedValue, FileData } from "../../views/assessment/file-data";
import { type Confirm, placeOf } from "../form/correct-value.client";

/** Where what the zone says is claimed in the form. */
const FIELDS: Readonly<Record<keyof DocumentClaims, string>> = {
  family: "person.familyName",
  given: "person.givenNames",
  birthDate: "person.birthDate",
  citizenships: "citizenship.citizenships",
  number: "citizenship.passportNumber",
  expiry: "citizenship.passportExpiry",
};

const CHECKED: Readonly<Record<ZoneError, string>> = {
  documentNumber: "the number",
  birthDate: "the date of birth",
  expiry: "the date of expiry",
  optional: "the optional part",
  composite: "the whole second line",
};

function claimsIn(values: readonly ClaimedValue[]) {
  const at = (what: keyof DocumentClaims) => values.find((v) => `${v.section}.${v.field}` === FIELDS[what]);
  const text = (what: keyof DocumentClaims): string => {
    const claim = at(what)?.claim;
    return typeof claim === "string" ? claim : "";
  };
  const citizenships = at("citizenships")?.claim;
  const claims: DocumentClaims = {
    given: text("given"),
    family: text("family"),
    birthDate: text("birthDate"),
    number: text("number"),
    expiry: text("expiry"),
    citizenships: Array.isArray(citizenships) ? citizenships.filter((c) => typeof c === "string") : [],
  };
  return { at, claims };
}

function said({ what, zone }: ZoneLine): string {
  if (zone === "") return "nothing";
  if ((what === "birthDate" || what === "expiry") && zone.length === 10) return formatDate("en", zone);
  return what === "citizenships" && zone.length === 2 ? countryName("en", zone) : zone;
}

/** Types the machine-readable lines from the page: their check digits are worked out, and what they say is held against the claims. */
export function ZoneCheck({ data, onConfirm }: { data: FileData; onConfirm: Confirm }) {
  const id = useId();
  const [text, setText] = useState("");
  const { at, claims } = claimsIn(data.values);
  const zone = text.trim() === "" ? null : readZone(text);
  const lines = zone ? compareZone(zone, claims, dateIn(data.zone, data.now)) : [];
  const sound = zone !== null && zone.errors.length === 0;
  const fitting = lines.flatMap((line) => {
    const value = at(line.what);
    return line.fits === true && value && value.claim !== null && value.state !== "confirmed" ? [value] : [];
  });
  return (
    <details className="zone-check">
      <summary>Check the machine-readable lines</summary>
      <label htmlFor={id}>As they stand at the foot of the page</label>
      <Input.TextArea
        id={id}
        className="zone-lines"
        autoSize={{ minRows: 2, maxRows: 3 }}
        maxLength={200}
        spellCheck={false}
        autoComplete="off"
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      {text.trim() !== "" && zone === null ? (
        <p className="quiet">
          A passport has two lines of 44 characters, a card two of 36 or three of 30. So far:{" "}
          {text
            .trim()
            .split("\n")
            .map((line) => line.replace(/\s/gu, "").length)
            .join(", ")}
          .
        </p>
      ) : null}
      {zone && !sound ? (
        <p className="wrong">
          The check digit of {zone.errors.map((e) => CHECKED[e]).join(", ")} does not fit. Look at what was typed; if it
          is as it stands there, the document is not sound.
        </p>
      ) : null}
      {sound ? <p className="quiet">All check digits fit.</p> : null}
      {lines.length > 0 ? (
        <ul className="value-list">
          {lines.map((line) => (
            <li key={line.what} data-state={line.fits === false ? "stale" : undefined}>
              <span className="quiet">{at(line.what)?.title.en ?? line.what}</span>
              <span>{said(line)}</span>
              <span className={line.fits === false ? "wrong" : "quiet"}>
                {line.fits === null ? "not claimed" : line.fits ? "fits" : "differs"}
              </span>
            </li>
          ))}
        </ul>
      ) : null}
      {sound && fitting.length > 0 ? (
        <Button
          size="small"
          type="primary"
          onClick={() => void onConfirm(fitting.map(placeOf), "As the machine-readable lines say.")}
        >
          Confirm {fitting.length} that {fitting.length === 1 ? "fits" : "fit"}
        </Button>
      ) : null}
    </details>
  );
}
