"use client";

import type { RequirementResult } from "../../core/file/result";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { formatMoney } from "../../text/format";
import { requestWords } from "../../text/words/references";
import type { FileData } from "../../views/assessment/file-data";
import { OfficeDay } from "../frame/office-day.client";
import { RefereeSaid, RequestWork } from "../references/request-work.client";
import { CameOn } from "./arrival.client";
import { Deed } from "./deed.client";
import { DocumentEvidence } from "./document-evidence.client";
import { DocumentViewer } from "./lazy-viewer.client";

/** The middle: the evidence itself. */
export function Evidence({
  data,
  requirement,
  act,
}: {
  data: FileData;
  requirement: RequirementResult;
  act: ActOnFile;
}) {
  const reference =
    requirement.kind === "reference" ? data.references.find((f) => f.id === requirement.request) : undefined;
  const failed = data.references.filter((r) => r.state === "declined" || r.state === "undeliverable");
  if (requirement.kind === "reference")
    return reference ? (
      <div className="reference">
        <h2>{reference.name}</h2>
        <p className="quiet">
          {reference.email} · asked <OfficeDay at={reference.askedAt} />
          {reference.state === "asked" ? "" : ` · ${requestWords(reference)}`}
          {reference.givenAt ? (
            <>
              {" "}
              on <OfficeDay at={reference.givenAt} />
            </>
          ) : null}
        </p>
        {reference.givenAt ? <CameOn at={reference.givenAt} requirement={requirement} data={data} /> : null}
        {reference.answers ? (
          <>
            <p>
              <span className="quiet">Knows the applicant:</span> {reference.answers.known}
            </p>
            <p>
              <span className="quiet">Compared with others:</span> {reference.answers.rating}
            </p>
            <p className="letter">{reference.answers.text}</p>
          </>
        ) : (
          <p>
            The referee has not answered yet. It is wanted by <OfficeDay at={reference.dueAt} />; the link works until{" "}
            <OfficeDay at={reference.endsAt} />.
          </p>
        )}
        {reference.takenBy ? (
          <p className="quiet">Put in by {reference.takenBy}: it came otherwise than by the link.</p>
        ) : null}
        <RefereeSaid request={reference} />
        <RequestWork applicationId={data.id} request={reference} act={act} />
        {reference.uploadId ? (
          <DocumentViewer uploadId={reference.uploadId} mediaType="application/pdf" name="Letter" />
        ) : null}
      </div>
    ) : (
      <>
        <p className="empty">{failed.length > 0 ? "Nobody else was asked yet." : "No referee was asked yet."}</p>
        {failed.map((r) => (
          <div key={r.id} className="reference">
            <p>
              <strong>{r.name}</strong>, {r.email}: {requestWords(r)}
            </p>
            <RefereeSaid request={r} />
            <RequestWork applicationId={data.id} request={r} act={act} />
          </div>
        ))}
      </>
    );
  if (requirement.kind === "fee") {
    const charges = data.charges.filter((c) => requirement.charges.includes(c.id));
    return (
      <div className="reference">
        <h2>{requirement.title.en}</h2>
        {charges.length === 0 ? <p>Nothing is due.</p> : null}
        {charges.map((c) => (
          <div key={c.id}>
            {formatMoney("en", { minor: c.minor, currency: c.currency })} due,{" "}
            {formatMoney("en", { minor: c.paidMinor, currency: c.currency })} paid{" "}
            {c.paidMinor > c.minor ? (
              <strong>
                · {formatMoney("en", { minor: c.paidMinor - c.minor, currency: c.currency })} too much, to give back{" "}
              </strong>
            ) : null}
            <span className="quiet">{c.reference}</span>
            {c.paidAt ? <CameOn what="Paid" at={c.paidAt} requirement={requirement} data={data} /> : null}
          </div>
        ))}
      </div>
    );
  }
  if (requirement.kind === "deed") return <Deed data={data} requirement={requirement} act={act} />;
  if (requirement.kind === "sections")
    return (
      <>
        {data.signedAs && requirement.sections.includes("declaration") ? (
          <p className="notice">
            Signed as “{data.signedAs}”; the form gives the name {data.name}.
          </p>
        ) : null}
        <p className="empty">These are answers of the form. They stand on the right.</p>
      </>
    );
  return <DocumentEvidence data={data} requirement={requirement} act={act} />;
}
