"use client";

import { Select } from "antd";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { resultKey } from "../../core/file/place";
import type { RequirementResult } from "../../core/file/result";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { formatDayOf } from "../../text/format";
import type { FileData, FileDocument } from "../../views/assessment/file-data";
import { requirementName } from "../assessment/entry-name";
import { FilePress } from "../assessment/file-press.client";
import { useOfficeZone } from "../frame/office-day.client";
import { refusedText } from "../sending/send-form";
import { CameOn } from "./arrival.client";
import { pagesOf, Signs } from "./document-signs.client";
import { DocumentViewer, JoinPages, SortPages } from "./lazy-viewer.client";

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

const isAt = (result: RequirementResult, d: FileDocument) =>
  resultKey(result) === resultKey({ ...d, key: d.requirement });

/** What the requirement is called at which a document stands. */
function titleAt(data: FileData, d: FileDocument): string {
  const result = data.assessment.requirements.find((r) => isAt(r, d));
  return result ? requirementName(data, result) : d.requirement;
}

/** The documents of one requirement, of which one is shown. */
function Choose({
  documents,
  shown,
  onChoose,
}: {
  documents: readonly FileDocument[];
  shown: FileDocument;
  onChoose: (document: FileDocument) => void;
}) {
  if (documents.length < 2) return null;
  return (
    <p className="pages">
      {documents.map((d) => (
        <button
          key={d.evidenceId}
          type="button"
          className="link-button"
          aria-current={d === shown ? "page" : undefined}
          onClick={() => onChoose(d)}
        >
          {d.name}
          {pagesOf(d)}
        </button>
      ))}
    </p>
  );
}

/** Another document of the file beside the one that is worked on: an original and its translation, turned page by page together. */
function Beside({ data, not, onLeave }: { data: FileData; not: FileDocument; onLeave: () => void }) {
  const others = data.documents.filter((d) => d.replacedAt === null && d.evidenceId !== not.evidenceId);
  const [chosen, setChosen] = useState(
    (others.find((d) => d.requirement === not.requirement && d.entry === not.entry) ?? others[0])?.evidenceId ?? "",
  );
  const shown = others.find((d) => d.evidenceId === chosen);
  const nameOf = (d: FileDocument) => {
    return `${titleAt(data, d)} · ${d.name}${pagesOf(d)}`;
  };
  return (
    <div className="beside">
      <p>
        <Select
          aria-label="Beside it"
          value={chosen}
          onChange={setChosen}
          popupMatchSelectWidth={false}
          options={others.map((d) => ({ value: d.evidenceId, label: nameOf(d) }))}
          style={{ width: "100%" }}
        />
        <button type="button" className="link-button" onClick={onLeave}>
          only the one <span className="key">v</span>
        </button>
      </p>
      {shown ? (
        <DocumentViewer
          key={shown.evidenceId}
          uploadId={shown.uploadId}
          mediaType={shown.mediaType}
          name={shown.name}
          firstPage={shown.firstPage}
          lastPage={shown.lastPage}
        />
      ) : (
        <p className="empty">There is no other document in this file.</p>
      )}
    </div>
  );
}

/** Has pages put together. @returns null when it was done, else the sentence that says why not */
async function askToJoin(asked: object): Promise<string | null> {
  const answer = await fetch("/api/joined-pages", {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(asked),
  });
  return answer.ok ? null : refusedText("en", await answer.json().catch(() => null));
}

/** The documents of one requirement, with what can be done to their pages. */
export function DocumentEvidence({
  data,
  requirement,
  act,
}: {
  data: FileData;
  requirement: RequirementResult;
  act: ActOnFile;
}) {
  const own = data.documents.filter((d) => isAt(requirement, d));
  const current = own.filter((d) => requirement.kind === "document" && requirement.evidence.includes(d.evidenceId));
  const titleOf = (reason: string) => data.writing.reasons.find((r) => r.key === reason)?.title ?? reason;
  const older = own.filter((d) => d.replacedAt !== null && !data.documents.some((p) => p.partOf === d.evidenceId));
  const router = useRouter();
  const [chosen, setChosen] = useState("");
  const [mode, setMode] = useState<"read" | "sort" | "join" | "beside">("read");
  const shown = current.find((d) => d.evidenceId === chosen) ?? current[0];
  const maySort = shown !== undefined && shown.judgement !== "accepted" && data.assessment.file.stage !== "preparing";
  const joinable = data.documents.filter(
    (d) => d.replacedAt === null && d.judgement !== "accepted" && data.assessment.requirements.some((r) => isAt(r, d)),
  );
  const mayJoin = maySort && joinable.reduce((sum, d) => sum + d.lastPage - d.firstPage + 1, 0) > 1;
  const turn = (to: "sort" | "join" | "beside") => setMode((m) => (m === to ? "read" : to));
  useHotkeys("p", () => turn("sort"), { enabled: maySort });
  useHotkeys("shift+p", () => turn("join"), { enabled: mayJoin });
  useHotkeys("v", () => turn("beside"), { enabled: shown !== undefined });
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
  const targets = data.assessment.requirements
    .filter((r) => r.kind === "document" && r.standing !== "not needed")
    .map((r) => ({
      at: { requirement: r.key, scope: r.scope, entry: r.entry },
      title: requirementName(data, r),
    }));
  return (
    <>
      <Signing data={data} requirement={requirement} act={act} />
      <Choose documents={current} shown={shown} onChoose={(d) => setChosen(d.evidenceId)} />
      <CameOn at={shown.suppliedAt} requirement={requirement} data={data} />
      <Signs data={data} shown={shown} act={act} />
      <p className="viewer-modes">
        {maySort ? (
          <button type="button" className="link-button" aria-pressed={mode === "sort"} onClick={() => turn("sort")}>
            sort the pages <span className="key">p</span>
          </button>
        ) : null}{" "}
        {mayJoin ? (
          <button type="button" className="link-button" aria-pressed={mode === "join"} onClick={() => turn("join")}>
            put pages together <span className="key">⇧p</span>
          </button>
        ) : null}{" "}
        <button type="button" className="link-button" aria-pressed={mode === "beside"} onClick={() => turn("beside")}>
          another beside it <span className="key">v</span>
        </button>
      </p>
      {mode === "sort" && maySort ? (
        <SortPages
          key={shown.evidenceId}
          uploadId={shown.uploadId}
          mediaType={shown.mediaType}
          at={{ requirement: shown.requirement, scope: shown.scope, entry: shown.entry }}
          firstPage={shown.firstPage}
          lastPage={shown.lastPage}
          targets={targets}
          onFile={async (parts) => {
            const refused = await act("file-pages", { evidenceId: shown.evidenceId, parts: [...parts] });
            if (refused === null) setMode("read");
            return refused;
          }}
          onLeave={() => setMode("read")}
        />
      ) : mode === "join" && mayJoin ? (
        <JoinPages
          documents={joinable}
          titleOf={(d) => titleAt(data, d)}
          at={{ requirement: requirement.key, scope: requirement.scope, entry: requirement.entry }}
          targets={targets}
          onJoin={async (to, name, laid) => {
            const refused = await askToJoin({ applicationId: data.id, ...to, name, laid });
            if (refused !== null) return refused;
            setMode("read");
            router.refresh();
            return null;
          }}
          onLeave={() => setMode("read")}
        />
      ) : (
        <div className="viewers">
          <DocumentViewer
            key={shown.evidenceId}
            uploadId={shown.uploadId}
            mediaType={shown.mediaType}
            name={requirement.title.en}
            firstPage={shown.firstPage}
            lastPage={shown.lastPage}
            leftOut={shown.leftOut}
            names={[data.name, data.otherNames.called, data.otherNames.former, data.otherNames.onCertificates].flatMap(
              (name) => name || [],
            )}
            leaveOut={(page, out) => act("leave-out-page", { uploadId: shown.uploadId, page, out })}
          />
          {mode === "beside" ? <Beside data={data} not={shown} onLeave={() => setMode("read")} /> : null}
        </div>
      )}
      <FromPost data={data} requirement={requirement} />
      {older.map((d) => (
        <p key={d.evidenceId} className="quiet">
          Replaced: <a href={`/api/documents/${d.uploadId}`}>{d.name}</a>
          {d.reason ? `, sent back: ${titleOf(d.reason)}` : ""}
        </p>
      ))}
    </>
  );
}
