"use client";

import { Select } from "antd";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { resultKey } from "../../core/file/place";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import type { FileData } from "../../views/assessment/file-data";
import type { AttachedDocument } from "../../views/conversation/conversation";
import { requirementName } from "../assessment/entry-name";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

/** A document of a message: the way to it, and where it can be put so that it answers something. */
function LooseDocument({
  document: { uploadId, name, pages, filed },
  file,
  act,
}: {
  document: AttachedDocument;
  file: FileData;
  act: ActOnFile;
}) {
  const router = useRouter();
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const places = file.assessment.requirements.filter((r) => r.kind === "document" && r.standing !== "not needed");
  const put = (key: string) => {
    const at = places.find((r) => resultKey(r) === key);
    if (!at) return;
    begin(async () => {
      const place = { requirement: at.key, scope: at.scope, entry: at.entry };
      setWrong(await act("file-attachment", { uploadId, ...place }));
      router.refresh();
    });
  };
  return (
    <li>
      <a href={`/api/documents/${uploadId}?show`} target="_blank" rel="noreferrer">
        {name}
      </a>{" "}
      <span className="quiet">
        {pages === 1 ? "1 page" : `${pages} pages`}
        {filed ? ", stands at a requirement" : ""}
      </span>
      {filed || places.length === 0 ? null : (
        <Select
          size="small"
          aria-label={`Put ${name} to a requirement`}
          value={null}
          placeholder="Put it where it belongs"
          loading={busy}
          onChange={put}
          showSearch={{ optionFilterProp: "label" }}
          options={places.map((r) => ({ value: resultKey(r), label: requirementName(file, r) }))}
          style={{ width: "16rem" }}
        />
      )}
      <Wrong text={wrong} />
    </li>
  );
}

/** Documents that came with words and stand at no requirement by themselves. */
export function LooseDocuments({
  documents,
  file,
  act,
}: {
  documents: readonly AttachedDocument[];
  file: FileData;
  act: ActOnFile;
}) {
  if (documents.length === 0) return null;
  return (
    <ul className="supplied" aria-label="Documents with this message">
      {documents.map((document) => (
        <LooseDocument key={document.uploadId} document={document} file={file} act={act} />
      ))}
    </ul>
  );
}
