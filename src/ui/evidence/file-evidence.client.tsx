"use client";

import dynamic from "next/dynamic";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { RequirementResult } from "../../core/file/result";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { formatDayOf, formatMoney } from "../../text/format";
import type { FileData } from "../../views/assessment/file-data";
import { FilePress } from "../assessment/file-press.client";
import { OfficeDay, useOfficeZone } from "../frame/office-day.client";
import { CameOn } from "./arrival.client";
import { Deed } from "./deed.client";

const DocumentViewer = dynamic(() => import("./document-viewer.client"), {
  ssr: false,
  // As large as what comes, so that nothing moves when it is there.
  loading: () => (
    <div className="viewer">
      <p className="viewer-line quiet">Opening the document …</p>
      <div className="viewer-page" />
      <p className="viewer-foot" />
    </div>
  ),
});

/** Who was asked to sign by a link, and what became of it; asked again where nothing has come. */
function Signing({ data, requirement, act }: { data: FileData; requirement: RequirementResult; act: ActOnFile }) {
  const [said, setSaid] = useState<string | null>(null);
  const zone = useOfficeZone();
  const day = (instant: string) => formatDayOf("en", instant, zone);
  const last = data.signatures.filter((s) => s.requirement === requirement.key).at(-1);
  if (!last) return null;
  const press = async () => {
    const refused = await act("remind-signature", { requirement: requirement.key });
    setSaid(refused ?? "A new link is on its way; the earlier one ends.");
  };
  return (
    <div className="notice">
      {last.state === "signed"
        ? `Signed as “${last.signedAs ?? ""}” by the link that went to ${last.name}, ${last.email}.`
        : last.state === "declined"
          ? `${last.name}, ${last.email}, was asked on ${day(last.askedAt)} to sign and said no.`
          : last.state === "undeliverable"
            ? `The mail that asks ${last.name} to sign could not be delivered at ${last.email}.`
            : `${last.name}, ${last.email}, was asked on ${day(last.askedAt)} to sign and has not done so yet.`}{" "}
      {last.state === "signed" ? null : (
        <button type="button" className="link-button" onClick={() => void press()}>
          Ask again
        </button>
      )}
      {said ? <p role="status">{said}</p> : null}
    </div>
  );
}

/** The place for what reached the office on paper or by mail; it is looked at like what the applicant sends. */
function FromPost({ data, requirement }: { data: FileData; requirement: RequirementResult }) {
  const router = useRouter();
  const { stage } = data.assessment.file;
  if (requirement.standing === "not needed" || stage === "preparing" || stage === "closed") return null;
  const { key, scope, entry } = requirement;
  return (
    <p className="from-post">
      <FilePress
        label="Put in what came by post or mail"
        to="/api/uploads/office"
        told={{ applicationId: data.id, requirement: key, scope, entry }}
        onSent={router.refresh}
      />
    </p>
  );
}

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
  const current = data.documents.filter(
    (d) => requirement.kind === "document" && requirement.evidence.includes(d.evidenceId),
  );
  const older = data.documents.filter(
    (d) =>
      d.replacedAt !== null &&
      d.requirement === requirement.key &&
      d.scope === requirement.scope &&
      d.entry === requirement.entry,
  );
  const reference =
    requirement.kind === "reference" ? data.references.find((f) => f.id === requirement.request) : undefined;
  const [chosen, setChosen] = useState(0);
  const [wrong, setWrong] = useState<string | null>(null);
  const shown = current[chosen] ?? current[0];
  if (requirement.kind === "reference")
    return reference ? (
      <div className="reference">
        <h2>{reference.name}</h2>
        <p className="quiet">
          {reference.email} · asked <OfficeDay at={reference.askedAt} /> · {reference.state}
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
            The referee has not answered yet. The link works until <OfficeDay at={reference.endsAt} />.
          </p>
        )}
        {reference.uploadId ? (
          <DocumentViewer uploadId={reference.uploadId} mediaType="application/pdf" name="Letter" />
        ) : null}
      </div>
    ) : (
      <p className="empty">No referee was asked yet.</p>
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
  if (!shown)
    return (
      <>
        <Signing data={data} requirement={requirement} act={act} />
        <FromPost data={data} requirement={requirement} />
        <p className="empty">
          Nothing was supplied yet.
          {older.length > 0
            ? ` ${older.length} earlier ${older.length === 1 ? "document is" : "documents are"} kept in the history.`
            : ""}
        </p>
      </>
    );
  return (
    <>
      <Signing data={data} requirement={requirement} act={act} />
      {current.length > 1 ? (
        <p className="pages">
          {current.map((d, i) => (
            <button
              key={d.evidenceId}
              type="button"
              className="link-button"
              aria-current={i === chosen ? "page" : undefined}
              onClick={() => setChosen(i)}
            >
              {d.name}
            </button>
          ))}
        </p>
      ) : null}
      <CameOn at={shown.suppliedAt} requirement={requirement} data={data} />
      {shown.marks.length > 0 ? (
        <p className="notice">{shown.marks.map((m) => m.replace(/_/gu, " ")).join(", ")}</p>
      ) : null}
      {shown.twice.length > 0 ? (
        <p className="notice">
          The same document was sent for{" "}
          {shown.twice
            .map((key) => data.assessment.requirements.find((r) => r.key === key)?.title.en ?? key)
            .join(", ")}
          , too.{" "}
          {shown.judgement === "accepted" ? null : (
            <button
              type="button"
              className="link-button"
              onClick={async () => setWrong(await act("set-aside-twin", { evidenceId: shown.evidenceId }))}
            >
              Set this one aside
            </button>
          )}
          {wrong ? (
            <span role="alert" className="wrong">
              {wrong}
            </span>
          ) : null}
        </p>
      ) : null}
      {shown.alsoIn.length > 0 ? (
        <p className="notice">The same document stands in file {shown.alsoIn.join(", ")}.</p>
      ) : null}
      <DocumentViewer
        key={shown.uploadId}
        uploadId={shown.uploadId}
        mediaType={shown.mediaType}
        name={requirement.title.en}
        leftOut={shown.leftOut}
        leaveOut={(page, out) => act("leave-out-page", { uploadId: shown.uploadId, page, out })}
      />
      <FromPost data={data} requirement={requirement} />
      {older.map((d) => (
        <p key={d.evidenceId} className="quiet">
          Replaced: <a href={`/api/documents/${d.uploadId}`}>{d.name}</a>
          {d.reason ? `, sent back as ${d.reason.replace(/-/gu, " ")}` : ""}
        </p>
      ))}
    </>
  );
}
