"use client";

import { Button } from "antd";
import dynamic from "next/dynamic";
import { useRouter } from "next/navigation";
import { type DragEvent, useId, useRef, useState } from "react";
import type { Picture } from "../../core/rulebook/requirement";
import { FILE_FORMATS, mostBytesOf, type Takes } from "../../core/rulebook/takes";
import type { Locale } from "../../core/text/local-text";
import { isTextKey, sentence } from "../../text/sentence";
import { Wrong } from "../frame/wrong";
import { GoingLine, useGoing } from "../sending/going-line.client";
import { refusedText, sendFile } from "../sending/send-form";

const CropPicture = dynamic(() => import("./crop-picture.client"), { ssr: false });

interface Shown {
  readonly evidenceId: string;
  readonly uploadId: string;
  readonly name: string;
  readonly pagesText: string;
  readonly sizeText: string;
  readonly marks: readonly string[];
  readonly judged: boolean;
}

interface Props {
  readonly applicationId: string;
  readonly requirement: string;
  readonly scope: string;
  readonly entry: string;
  readonly open: boolean;
  readonly locale: Locale;
  readonly title: string;
  /** The size of the picture that is asked for; null where any document is. */
  readonly picture: Picture | null;
  /** What else is taken here, or not. */
  readonly takes: Takes;
  readonly supplied: readonly Shown[];
  readonly remove: (evidenceId: string) => Promise<string | null>;
}

/** Supplies a document for one requirement: choose it or drop it, see it go, see it here. */
export function UploadBox(props: Props) {
  const { applicationId, requirement, scope, entry, open, locale, title, picture, takes, supplied, remove } = props;
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  const router = useRouter();
  const { going, onProgress, end } = useGoing();
  const [wrong, setWrong] = useState<string | null>(null);
  const [over, setOver] = useState(false);
  const [cropped, setCropped] = useState<File | null>(null);

  const send = async (file: File | undefined) => {
    if (!file) return;
    setWrong(null);
    if (file.size > mostBytesOf(takes)) return setWrong(refusedText(locale, { document: "too_large" }, picture, takes));
    onProgress(0, false);
    try {
      const place = { applicationId, requirement, scope, entry };
      const { status, body } = await sendFile("/api/uploads", place, file, onProgress);
      if (status >= 400) setWrong(refusedText(locale, body, picture, takes));
      router.refresh();
    } catch {
      setWrong(sentence(locale, "doc.failed"));
    } finally {
      end();
      if (input.current) input.current.value = "";
    }
  };

  /** A picture is cropped first; what is none is sent, and the answer says what is asked for. */
  const choose = (file: File | undefined) => {
    if (picture && file && /^image\/(jpeg|png)$/u.test(file.type)) {
      setWrong(null);
      setCropped(file);
    } else void send(file);
  };

  const [pdf, pictures] = [".pdf", ".jpg,.jpeg,.png"];
  const endings = picture
    ? pictures
    : (takes.formats ?? FILE_FORMATS).map((format) => (format === "pdf" ? pdf : pictures)).join(",");
  const drop = (e: DragEvent) => {
    e.preventDefault();
    setOver(false);
    choose(e.dataTransfer.files[0]);
  };

  return (
    <div>
      <ul className="supplied">
        {supplied.map((document) => (
          <li key={document.evidenceId}>
            <a href={`/api/documents/${document.uploadId}`}>{document.name}</a>{" "}
            <span className="quiet">
              {document.pagesText}, {document.sizeText}
            </span>
            {open && !document.judged ? (
              <Button
                type="text"
                size="small"
                onClick={() =>
                  void remove(document.evidenceId)
                    .then(setWrong)
                    .then(() => router.refresh())
                }
                aria-label={`${sentence(locale, "doc.remove")}: ${document.name}`}
              >
                {sentence(locale, "doc.remove")}
              </Button>
            ) : null}
            {document.marks.map((mark) => {
              const key = `doc.mark.${mark}`;
              return isTextKey(key) ? (
                <p key={mark} className="quiet">
                  {sentence(locale, key)}
                </p>
              ) : null;
            })}
          </li>
        ))}
      </ul>
      {open && picture ? <p className="quiet">{sentence(locale, "doc.picture", picture)}</p> : null}
      {picture && cropped ? (
        <CropPicture
          file={cropped}
          picture={picture}
          locale={locale}
          onCut={(file) => {
            setCropped(null);
            void send(file);
          }}
          onLeave={() => {
            setCropped(null);
            if (input.current) input.current.value = "";
            input.current?.click();
          }}
        />
      ) : null}
      {open && !cropped ? (
        // biome-ignore lint/a11y/noStaticElementInteractions: dropping is a second way; the button below is the first
        <div
          className="drop"
          data-over={over}
          onDragOver={(e) => {
            e.preventDefault();
            setOver(true);
          }}
          onDragLeave={() => setOver(false)}
          onDrop={drop}
        >
          <input
            ref={input}
            id={id}
            type="file"
            className="hidden-text"
            tabIndex={-1}
            accept={endings}
            aria-label={title}
            onChange={(e) => choose(e.target.files?.[0])}
          />
          <Button
            onClick={() => input.current?.click()}
            disabled={going !== null}
            aria-label={`${sentence(locale, "doc.upload")}: ${title}`}
          >
            {sentence(locale, "doc.upload")}
          </Button>
          <GoingLine going={going} locale={locale} />
        </div>
      ) : null}
      <Wrong text={wrong} />
    </div>
  );
}
