"use client";

import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { Button, Select } from "antd";
import { useState } from "react";
import { Document } from "react-pdf";
import { changesFiling, cutAt, type FiledPart } from "../../core/evidence/filing";
import { type RequirementPlace, requirementKey } from "../../core/file/place";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";
import { SmallPage } from "./page-strip.client";
import { READER } from "./reader.client";

const WIDTH = 104;

/** A requirement at which pages can be filed. */
export interface Target {
  readonly at: RequirementPlace;
  readonly title: string;
}

/** A run of pages that can be dragged onto the requirement to which it belongs. */
function Part({
  part,
  targets,
  pdf,
  image,
  onCut,
  onPlace,
}: {
  part: FiledPart;
  targets: readonly Target[];
  pdf: boolean;
  image: string;
  onCut: (page: number) => void;
  onPlace: (at: RequirementPlace) => void;
}) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({ id: String(part.firstPage) });
  const pages = Array.from({ length: part.lastPage - part.firstPage + 1 }, (_, i) => part.firstPage + i);
  const range = pages.length === 1 ? `Page ${part.firstPage}` : `Pages ${part.firstPage} to ${part.lastPage}`;
  const belong = pages.length === 1 ? "belongs to" : "belong to";
  return (
    <li
      className="part"
      data-dragged={isDragging}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
    >
      <p className="part-head">
        <button
          ref={setNodeRef}
          {...listeners}
          {...attributes}
          type="button"
          className="grip"
          tabIndex={-1}
          aria-label={`Drag ${range.toLowerCase()}`}
        >
          ⠿
        </button>
        <strong>{range}</strong> <span className="quiet">{belong}</span>
        <Select
          aria-label={`${range} ${belong}`}
          size="small"
          value={requirementKey(part)}
          showSearch={{ optionFilterProp: "label" }}
          popupMatchSelectWidth={false}
          options={targets.map((t) => ({ value: requirementKey(t.at), label: t.title }))}
          onChange={(key) => {
            const target = targets.find((t) => requirementKey(t.at) === key);
            if (target) onPlace(target.at);
          }}
        />
      </p>
      <div className="part-pages">
        {pages.map((page, i) => (
          <span key={page} className="part-page">
            {i > 0 ? (
              <button type="button" className="cut" onClick={() => onCut(page)} aria-label={`Cut before page ${page}`}>
                cut
              </button>
            ) : null}
            {pdf ? (
              <SmallPage page={page} width={WIDTH} />
            ) : (
              // biome-ignore lint/performance/noImgElement: a private document, not an image of the site
              <img src={image} alt="" width={WIDTH} />
            )}
            <span className="quiet">{page}</span>
          </span>
        ))}
      </div>
    </li>
  );
}

/** A requirement onto which pages can be dropped. */
function TargetRow({ target }: { target: Target }) {
  const { setNodeRef, isOver } = useDroppable({ id: requirementKey(target.at) });
  return (
    <li ref={setNodeRef} data-over={isOver}>
      {target.title}
    </li>
  );
}

/**
 * Sorts the pages of a document: it is cut where another paper begins, and each part is dragged to the requirement to which it belongs, or
 * given it from the list. What was sent stays as it was sent.
 */
export default function SortPages({
  uploadId,
  mediaType,
  at,
  firstPage,
  lastPage,
  targets,
  onFile,
  onLeave,
}: {
  uploadId: string;
  mediaType: string;
  /** Where the document stands now. */
  at: RequirementPlace;
  firstPage: number;
  lastPage: number;
  targets: readonly Target[];
  onFile: (parts: readonly FiledPart[]) => Promise<string | null>;
  onLeave: () => void;
}) {
  const [cuts, setCuts] = useState<readonly number[]>([]);
  const [places, setPlaces] = useState<ReadonlyMap<number, RequirementPlace>>(new Map());
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const parts = cutAt(firstPage, lastPage, cuts, (page) => places.get(page) ?? at);
  const place = (page: number, to: RequirementPlace) => setPlaces(new Map([...places, [page, to]]));
  const drop = ({ active, over }: DragEndEvent) => {
    const target = targets.find((t) => requirementKey(t.at) === over?.id);
    if (target) place(Number(active.id), target.at);
  };
  const url = `/api/documents/${uploadId}?show=1`;
  const pdf = mediaType === "application/pdf";
  const list = (
    <ul className="parts">
      {parts.map((part) => (
        <Part
          key={part.firstPage}
          part={part}
          targets={targets}
          pdf={pdf}
          image={url}
          onCut={(page) => setCuts([...cuts, page])}
          onPlace={(to) => place(part.firstPage, to)}
        />
      ))}
    </ul>
  );
  const changes = changesFiling(at, parts);
  return (
    <section className="sort-pages" aria-label="Sort the pages">
      <p className="quiet">
        Cut where another paper begins, and say what each part is: drag it onto its requirement, or choose it. What was
        sent stays as it was; the parts are checked each at its own place.
      </p>
      <DndContext sensors={sensors} onDragEnd={drop}>
        <div className="sorting">
          {pdf ? (
            <Document file={url} options={READER} loading={<p className="quiet">Opening the document …</p>}>
              {list}
            </Document>
          ) : (
            list
          )}
          <ul className="targets" aria-label="Where pages can be dropped">
            {targets.map((target) => (
              <TargetRow key={requirementKey(target.at)} target={target} />
            ))}
          </ul>
        </div>
      </DndContext>
      <div className="presses">
        <Button
          type="primary"
          loading={busy}
          disabled={!changes}
          onClick={() => begin(async () => setWrong(await onFile(parts)))}
        >
          {parts.length === 1 ? "File it there" : `File these ${parts.length} parts`}
        </Button>
        {cuts.length > 0 ? <Button onClick={() => setCuts(cuts.slice(0, -1))}>Take the last cut back</Button> : null}
        <Button onClick={onLeave}>Not now</Button>
      </div>
      <Wrong text={wrong} />
    </section>
  );
}
