"use client";

import { Button, Select } from "antd";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import type { DocumentPlace, FileAttachment } from "../../views/results/results-file";
import { Wrong } from "../frame/wrong";
import { refusedText, sendFile } from "../sending/send-form";

interface Props {
  readonly applicationId: string;
  readonly attachments: readonly FileAttachment[];
  readonly places: readonly DocumentPlace[];
  readonly locale: Locale;
}

const EXTENSIONS: Readonly<Record<string, string>> = { "image/jpeg": "jpg", "image/png": "png" };

function fileOf({ title, mediaType, base64 }: FileAttachment): File {
  const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
  return new File([bytes], `${title}.${EXTENSIONS[mediaType] ?? "pdf"}`, { type: mediaType });
}

function Attachment({
  applicationId,
  attachment,
  places,
  locale,
}: Omit<Props, "attachments"> & { readonly attachment: FileAttachment }) {
  const router = useRouter();
  const [place, setPlace] = useState(attachment.fits);
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const [supplied, setSupplied] = useState<string | null>(null);
  const chosen = place === null ? undefined : places[place];
  const send = async () => {
    if (!chosen) return;
    setBusy(true);
    setWrong(null);
    const { requirement, scope, entry, title } = chosen;
    const place = { applicationId, requirement, scope, entry };
    try {
      const { status, body } = await sendFile("/api/uploads", place, fileOf(attachment), () => undefined);
      if (status >= 400) setWrong(refusedText(locale, body));
      else setSupplied(title);
      router.refresh();
    } catch {
      setWrong(sentence(locale, "doc.failed"));
    } finally {
      setBusy(false);
    }
  };
  return (
    <li>
      <strong>{attachment.title}</strong>
      {supplied === null ? (
        <span className="presses">
          <Select
            showSearch
            optionFilterProp="label"
            aria-label={`${sentence(locale, "results.attachTo")}: ${attachment.title}`}
            value={place ?? -1}
            options={[
              { value: -1, label: sentence(locale, "results.attachNone") },
              ...places.map((p, i) => ({ value: i, label: p.title })),
            ]}
            onChange={(next: number) => setPlace(next < 0 ? null : next)}
          />
          <Button loading={busy} disabled={!chosen} onClick={() => void send()}>
            {sentence(locale, "results.attach")}
          </Button>
        </span>
      ) : (
        <span role="status"> {sentence(locale, "results.attached", { title: supplied })}</span>
      )}
      <Wrong text={wrong} />
    </li>
  );
}

/** The documents that travel in a file of results: each is supplied for what it is, where the applicant wants it. */
export function ResultAttachments({ attachments, ...rest }: Props) {
  if (attachments.length === 0) return null;
  return (
    <section className="attachments" aria-label={sentence(rest.locale, "results.attachments")}>
      <h4>{sentence(rest.locale, "results.attachments")}</h4>
      <ul className="plain-list">
        {attachments.map((attachment) => (
          <Attachment key={`${attachment.title} ${attachment.base64.length}`} attachment={attachment} {...rest} />
        ))}
      </ul>
    </section>
  );
}
