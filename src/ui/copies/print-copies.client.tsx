"use client";

import { Button } from "antd";
import { useEffect, useRef, useState } from "react";
import type { Locale } from "../../core/text/local-text";
import { formatBytes, formatMoment } from "../../text/format";
import { sentence } from "../../text/sentence";
import type { FileCopy } from "../../views/copies/copies";
import { Wrong } from "../frame/wrong";

const LOOK_MS = 700;

const isBeingMade = (copies: readonly FileCopy[]): boolean => copies.some((c) => c.state === "being made");
const addressOf = ({ orderId }: FileCopy): string => `/api/copies/${orderId}`;

/** Has a copy saved, without leaving the page. */
function save(copy: FileCopy): void {
  Object.assign(document.createElement("a"), { href: addressOf(copy), download: "" }).click();
}

/** How far the copies of an application are; null where the answer is none. */
async function lookAgain(number: string): Promise<readonly FileCopy[] | null> {
  const response = await fetch(`/api/applications/${number}/copies`).catch(() => null);
  return response?.ok ? ((await response.json()) as readonly FileCopy[]) : null; // our own view
}

/** One kind of copy: asked for, on its way, and there. */
function PrintCopy({
  locale,
  zone,
  label,
  copy,
  waits,
  print,
}: {
  locale: Locale;
  zone: string;
  label: string;
  copy: FileCopy | undefined;
  waits: boolean;
  print: () => void;
}) {
  const state = waits ? "being made" : copy?.state;
  return (
    <div className="print-copy">
      <Button loading={state === "being made"} onClick={print}>
        {label}
      </Button>{" "}
      <span role="status" className={state === "failed" ? "wrong" : "quiet"}>
        {state === "being made" ? sentence(locale, "copy.beingMade") : null}
        {state === "failed" ? sentence(locale, "copy.notPrinted") : null}
        {copy && state === "made" ? (
          <a href={addressOf(copy)} download>
            {sentence(locale, "copy.last", {
              when: formatMoment(locale, copy.askedAt, zone),
              size: formatBytes(locale, copy.size),
            })}
          </a>
        ) : null}
      </span>
    </div>
  );
}

/**
 * An application as PDF, without its documents or with them: a job makes it while one looks on or goes away, and it is downloaded as soon as
 * it is there. The last one stays for some days.
 */
export function PrintCopies({
  number,
  locale,
  zone,
  copies,
  labels,
  order,
}: {
  number: string;
  locale: Locale;
  zone: string;
  copies: readonly FileCopy[];
  /** What the presses are called; the one with the documents is left out where there are none. */
  labels: { readonly form: string; readonly whole: string | null };
  /** @returns null when it is being made, else the sentence that says why not */
  order: (documents: boolean) => Promise<string | null>;
}) {
  const [known, setKnown] = useState(copies);
  const [asked, setAsked] = useState<readonly boolean[]>([]);
  const [wrong, setWrong] = useState<string | null>(null);
  /** What was asked for on this page, and is downloaded by itself. */
  const wanted = useRef(new Set<boolean>());
  const waiting = isBeingMade(known);

  useEffect(() => {
    if (!waiting) return;
    const look = setInterval(async () => {
      const now = await lookAgain(number);
      if (now) setKnown(now);
    }, LOOK_MS);
    return () => clearInterval(look);
  }, [waiting, number]);

  useEffect(() => {
    for (const copy of known)
      if (copy.state !== "being made" && wanted.current.delete(copy.documents) && copy.state === "made") save(copy);
  }, [known]);

  const print = async (documents: boolean) => {
    setAsked((before) => [...before, documents]);
    setWrong(null);
    const notPrinted = sentence(locale, "copy.notPrinted");
    const refused = await order(documents).catch(() => notPrinted);
    const now = refused === null ? await lookAgain(number) : null;
    if (now) {
      wanted.current.add(documents);
      setKnown(now);
    }
    setWrong(now ? null : (refused ?? notPrinted));
    setAsked((before) => before.filter((d) => d !== documents));
  };

  return (
    <div className="print-copies">
      {([false, true] as const).map((documents) => {
        const label = documents ? labels.whole : labels.form;
        return label === null ? null : (
          <PrintCopy
            key={label}
            locale={locale}
            zone={zone}
            label={label}
            copy={known.find((c) => c.documents === documents)}
            waits={asked.includes(documents)}
            print={() => void print(documents)}
          />
        );
      })}
      <Wrong text={wrong} />
    </div>
  );
}
