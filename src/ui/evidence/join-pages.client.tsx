"use client";

import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import {
  arrayMove,
  rectSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
} from "@dnd-kit/sortable";
import { Button, Input, Select } from "antd";
import { useState } from "react";
import { Document, type pdfjs } from "react-pdf";
import { addPages, type LaidPage, leftBehind, pageKey } from "../../core/evidence/joining";
import { type RequirementPlace, requirementKey } from "../../core/file/place";
import type { FileDocument } from "../../views/assessment/file-data";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";
import { SmallPage } from "./page-strip.client";
import { READER } from "./reader.client";
import type { Target } from "./sort-pages.client";

const WIDTH = 104;
const SMALL = 58;
const QUARTERS = [0, 90, 180, 270] as const;
type Opened = ReadonlyMap<string, pdfjs.PDFDocumentProxy>;

const imageOf = (d: FileDocument) => `/api/documents/${d.uploadId}?show=1`;
const isPdf = (d: FileDocument) => d.mediaType === "application/pdf";
const pagesIn = (d: FileDocument) => Array.from({ length: d.lastPage - d.firstPage + 1 }, (_, i) => d.firstPage + i);
const called = (d: FileDocument, page: number) => `page ${page} of ${d.name}`;

/** A page where it lies in the new document. */
function Laid({
  laid,
  of,
  no,
  pdf,
  onTurn,
  onOut,
}: {
  laid: LaidPage;
  of: FileDocument;
  no: number;
  pdf: pdfjs.PDFDocumentProxy | undefined;
  onTurn: () => void;
  onOut: () => void;
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: pageKey(laid) });
  const what = called(of, laid.page);
  return (
    <li
      ref={setNodeRef}
      className="laid"
      data-dragged={isDragging}
      style={{
        transition,
        transform: transform ? `translate3d(${Math.round(transform.x)}px, ${Math.round(transform.y)}px, 0)` : undefined,
      }}
    >
      <button type="button" className="laid-page" aria-label={`Move ${what}`} {...attributes} {...listeners}>
        <span className="turned" style={{ transform: `rotate(${laid.turn}deg)` }}>
          {!isPdf(of) ? (
            // biome-ignore lint/performance/noImgElement: a private document, not an image of the site
            <img src={imageOf(of)} alt="" width={WIDTH} />
          ) : pdf ? (
            <SmallPage page={laid.page} width={WIDTH} pdf={pdf} />
          ) : (
            <span className="small-page" style={{ width: WIDTH, minHeight: Math.round(WIDTH * 1.41) }} />
          )}
        </span>
      </button>
      <span className="laid-foot">
        <strong>{no}</strong>
        <button type="button" className="link-button" aria-label={`Turn ${what}`} onClick={onTurn}>
          turn
        </button>
        <button type="button" className="link-button" aria-label={`Take ${what} out`} onClick={onOut}>
          out
        </button>
      </span>
    </li>
  );
}

/** A document of the file whose pages can be put into the new one. */
function Source({
  document,
  title,
  laid,
  startsOpen,
  onOpened,
  onAdd,
}: {
  document: FileDocument;
  title: string;
  laid: readonly LaidPage[];
  startsOpen: boolean;
  onOpened: (pdf: pdfjs.PDFDocumentProxy) => void;
  onAdd: (pages: readonly number[]) => void;
}) {
  const [open, setOpen] = useState(startsOpen);
  const pages = pagesIn(document);
  const isLaid = (page: number) => laid.some((l) => l.evidenceId === document.evidenceId && l.page === page);
  const shown = (
    <span className="source-pages">
      {pages.map((page) => (
        <button
          key={page}
          type="button"
          disabled={isLaid(page)}
          aria-label={`Add ${called(document, page)}`}
          onClick={() => onAdd([page])}
        >
          {isPdf(document) ? (
            <SmallPage page={page} width={SMALL} />
          ) : (
            // biome-ignore lint/performance/noImgElement: a private document, not an image of the site
            <img src={imageOf(document)} alt="" width={SMALL} />
          )}
          {page}
        </button>
      ))}
    </span>
  );
  return (
    <details className="join-source" open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>
        {title} <span className="quiet">{document.name}</span>
      </summary>
      {!open ? null : (
        <>
          {isPdf(document) ? (
            <Document file={imageOf(document)} options={READER} loading="" onLoadSuccess={onOpened}>
              {shown}
            </Document>
          ) : (
            shown
          )}
          {pages.length > 1 && pages.some((p) => !isLaid(p)) ? (
            <button type="button" className="link-button" onClick={() => onAdd(pages)}>
              add all its pages
            </button>
          ) : null}
        </>
      )}
    </details>
  );
}

/**
 * Puts pages of several documents together as one: they are dragged into their order, or moved by keyboard, turned, taken out and added from
 * other documents of the file. What was sent stays as it was sent.
 */
export default function JoinPages({
  documents,
  titleOf,
  at,
  targets,
  onJoin,
  onLeave,
}: {
  /** Those of the file whose pages may be taken: they stand and were not accepted. */
  documents: readonly FileDocument[];
  titleOf: (document: FileDocument) => string;
  at: RequirementPlace;
  targets: readonly Target[];
  onJoin: (to: RequirementPlace, name: string, pages: readonly LaidPage[]) => Promise<string | null>;
  onLeave: () => void;
}) {
  const own = documents.filter((d) => requirementKey(d) === requirementKey(at));
  const all = own.reduce<readonly LaidPage[]>((laid, d) => addPages(laid, d.evidenceId, pagesIn(d)), []);
  const [pages, setPages] = useState(all);
  const [opened, setOpened] = useState<Opened>(new Map());
  const [to, setTo] = useState(requirementKey(at));
  const target = targets.find((t) => requirementKey(t.at) === to);
  const [name, setName] = useState(target?.title ?? "");
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = pages.map(pageKey);
  const drop = ({ active, over }: DragEndEvent) => {
    if (over) setPages(arrayMove([...pages], ids.indexOf(String(active.id)), ids.indexOf(String(over.id))));
  };
  const nameOf = (id: string | number) => {
    const laid = pages.find((p) => pageKey(p) === id);
    const of = documents.find((d) => d.evidenceId === laid?.evidenceId);
    return laid && of ? called(of, laid.page) : "";
  };
  const placed = ({ active, over }: { active: { id: string | number }; over: { id: string | number } | null }) =>
    over ? `${nameOf(active.id)} at place ${ids.indexOf(String(over.id)) + 1} of ${ids.length}` : undefined;
  const announcements = {
    onDragStart: ({ active }: { active: { id: string | number } }) => `${nameOf(active.id)} taken up`,
    onDragOver: placed,
    onDragEnd: placed,
    onDragCancel: ({ active }: { active: { id: string | number } }) => `${nameOf(active.id)} left where it was`,
  };
  const turn = (page: LaidPage) =>
    setPages(
      pages.map((p) =>
        p === page ? { ...p, turn: QUARTERS[(QUARTERS.indexOf(p.turn) + 1) % QUARTERS.length] ?? 0 } : p,
      ),
    );
  const behind = leftBehind(pages, documents);
  const laidAnew = JSON.stringify(pages) !== JSON.stringify(all);
  const changed = laidAnew || own.length > 1 || to !== requirementKey(at);
  return (
    <section className="sort-pages" aria-label="Put pages together">
      <p className="quiet">
        One document out of several: drag its pages into their order, turn them, take some out, add others from the
        right. What was sent stays as it was, and all of it can be taken apart again until the new document is judged.
      </p>
      <div className="sorting">
        <div>
          <DndContext
            id="join-pages"
            sensors={sensors}
            collisionDetection={closestCenter}
            onDragEnd={drop}
            accessibility={{ announcements }}
          >
            <SortableContext items={ids} strategy={rectSortingStrategy}>
              <ol className="laid-pages" aria-label="The new document">
                {pages.map((laid, i) => {
                  const of = documents.find((d) => d.evidenceId === laid.evidenceId);
                  return of ? (
                    <Laid
                      key={pageKey(laid)}
                      laid={laid}
                      of={of}
                      no={i + 1}
                      pdf={opened.get(laid.evidenceId)}
                      onTurn={() => turn(laid)}
                      onOut={() => setPages(pages.filter((p) => p !== laid))}
                    />
                  ) : null;
                })}
              </ol>
            </SortableContext>
          </DndContext>
          {pages.length === 0 ? <p className="empty">No page yet. Add one from the right.</p> : null}
          {behind.map(({ document, pages: left }) => (
            <p key={document.evidenceId} className="notice">
              {left.length === 1 ? `Page ${left[0]}` : `Pages ${left.join(", ")}`} of {document.name}{" "}
              {left.length === 1 ? "is" : "are"} not in it, and {left.length === 1 ? "stays" : "stay"} in what was sent
              alone.
            </p>
          ))}
        </div>
        <section className="join-sources" aria-label="Pages to add">
          {documents.map((d) => (
            <Source
              key={d.evidenceId}
              document={d}
              title={titleOf(d)}
              laid={pages}
              startsOpen={own.includes(d)}
              onOpened={(pdf) => setOpened((known) => new Map([...known, [d.evidenceId, pdf]]))}
              onAdd={(more) => setPages(addPages(pages, d.evidenceId, more))}
            />
          ))}
        </section>
      </div>
      <div className="join-as">
        <label htmlFor="join-name">Name of the new document</label>
        <Input id="join-name" value={name} maxLength={100} onChange={(e) => setName(e.target.value)} />
        <Select
          aria-label="What it is"
          value={to}
          showSearch={{ optionFilterProp: "label" }}
          popupMatchSelectWidth={false}
          options={targets.map((t) => ({ value: requirementKey(t.at), label: t.title }))}
          onChange={setTo}
        />
      </div>
      <div className="presses">
        <Button
          type="primary"
          loading={busy}
          disabled={pages.length === 0 || name.trim() === "" || !target || !changed}
          onClick={() => begin(async () => setWrong(target ? await onJoin(target.at, name.trim(), pages) : null))}
        >
          {pages.length === 1 ? "Make it of this page" : `Put these ${pages.length} pages together`}
        </Button>
        {laidAnew ? <Button onClick={() => setPages(all)}>Start again</Button> : null}
        <Button onClick={onLeave}>Not now</Button>
      </div>
      <Wrong text={wrong} />
    </section>
  );
}
