"use client";

import { Button } from "antd";
import type { RulebookProblem } from "../../core/rulebook/checks/problem";
import { isCoreField } from "../../core/rulebook/core-fields";
import type { AreaKey } from "../../core/rulebook/parts";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import type { Field, Section } from "../../core/rulebook/section";
import { MoveButtons } from "../application/move-buttons.client";
import { moved } from "../form/fields/ranked-input.client";
import { requirementOf } from "./requirement-part.client";

/** The chosen part of a rulebook, by its place. */
export interface Selected {
  readonly area: AreaKey;
  readonly index: number;
  /** A field of the chosen section. */
  readonly field?: number;
}

const AREAS: readonly { readonly area: AreaKey; readonly title: string; readonly add: string }[] = [
  { area: "sections", title: "Sections of the form", add: "Add a section" },
  { area: "requirements", title: "Requirements", add: "Add a requirement" },
  { area: "measures", title: "Computed values", add: "Add a computed value" },
  { area: "entryRules", title: "Entry rules", add: "Add an entry rule" },
  { area: "fees", title: "Fees", add: "Add a fee" },
];

const WORDS = { en: "", fr: "" } as const;

/** A short name that is not taken yet. */
function freeKey(stem: string, taken: readonly string[]): string {
  for (let n = taken.length + 1; ; n += 1) if (!taken.includes(`${stem}${n}`)) return `${stem}${n}`;
}

function fresh(body: RulebookBody, area: AreaKey): RulebookBody {
  const key = (stem: string) =>
    freeKey(
      stem,
      body[area].map((item) => item.key),
    );
  switch (area) {
    case "sections": {
      const section: Section = { key: key("section"), core: null, scope: "file", title: WORDS, fields: [] };
      return { ...body, sections: [...body.sections, section] };
    }
    case "requirements":
      return {
        ...body,
        requirements: [
          ...body.requirements,
          requirementOf("document", { key: key("requirement"), title: WORDS, scope: "file", neededBy: "submission" }),
        ],
      };
    case "measures":
      return {
        ...body,
        measures: [...body.measures, { key: key("value"), kind: "level", title: WORDS, language: "en", tests: [] }],
      };
    case "entryRules":
      return {
        ...body,
        entryRules: [
          ...body.entryRules,
          { key: key("rule"), title: WORDS, rule: { op: "fact", fact: "start", is: "known" }, curable: null },
        ],
      };
    case "fees":
      return {
        ...body,
        fees: [...body.fees, { key: key("fee"), title: WORDS, per: "choice", currency: "EUR", amounts: [] }],
      };
  }
}

const freshField = (section: Section): Field => ({
  key: freeKey(
    "field",
    section.fields.map((f) => f.key),
  ),
  kind: "text",
  title: WORDS,
  required: true,
  seenBy: "assessment",
});

/** All parts of a rulebook in order; the chosen section shows its fields. */
export function Outline({
  body,
  selected,
  writable,
  problems,
  select,
  set,
}: {
  body: RulebookBody;
  selected: Selected;
  writable: boolean;
  problems: readonly RulebookProblem[];
  select: (next: Selected) => void;
  set: (next: RulebookBody) => void;
}) {
  const isWrong = (key: string) =>
    problems.some((p) => p.about === key || p.about.startsWith(`${key}.`) || p.about.startsWith(`${key}:`));
  const nameOf = (item: { readonly key: string; readonly title: { readonly en: string } }) => item.title.en || item.key;
  const withFields = (index: number, fields: readonly Field[]) =>
    set({ ...body, sections: body.sections.map((s, i) => (i === index ? { ...s, fields: [...fields] } : s)) });

  const fieldsOf = (section: Section, index: number) => (
    <ol>
      {section.fields.map((field, f) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: its key may change while somebody presses what stands here
        <li key={f} data-wrong={isWrong(`${section.key}.${field.key}`)}>
          <button
            type="button"
            className="outline-name"
            aria-current={selected.index === index && selected.field === f}
            onClick={() => select({ area: "sections", index, field: f })}
          >
            {nameOf(field)}
          </button>
          {writable && !section.part && selected.field === f ? (
            <MoveButtons
              index={f}
              count={section.fields.length}
              name={nameOf(field)}
              move={(to) => {
                withFields(index, moved(section.fields, f, to));
                select({ area: "sections", index, field: to });
              }}
              remove={
                isCoreField(section, field.key)
                  ? null
                  : () => {
                      withFields(
                        index,
                        section.fields.filter((_, i) => i !== f),
                      );
                      select({ area: "sections", index });
                    }
              }
            />
          ) : null}
        </li>
      ))}
      {writable && !section.part ? (
        <li>
          <Button
            size="small"
            type="text"
            onClick={() => {
              withFields(index, [...section.fields, freshField(section)]);
              select({ area: "sections", index, field: section.fields.length });
            }}
          >
            + Add a field
          </Button>
        </li>
      ) : null}
    </ol>
  );

  return (
    <nav className="outline" aria-label="Parts of the rulebook">
      {AREAS.map(({ area, title, add }) => (
        <section key={area}>
          <h2>{title}</h2>
          <ol>
            {body[area].map((item, index) => {
              const here = selected.area === area && selected.index === index;
              return (
                // biome-ignore lint/suspicious/noArrayIndexKey: as above
                <li key={index} data-wrong={isWrong(item.key)}>
                  <button
                    type="button"
                    className="outline-name"
                    aria-current={here && selected.field === undefined}
                    onClick={() => select({ area, index })}
                  >
                    {nameOf(item)}
                    {item.part ? <span className="quiet"> shared</span> : null}
                  </button>
                  {writable && here && selected.field === undefined ? (
                    <MoveButtons
                      index={index}
                      count={body[area].length}
                      name={nameOf(item)}
                      move={(to) => {
                        set({ ...body, [area]: moved<unknown>(body[area], index, to) });
                        select({ area, index: to });
                      }}
                      remove={
                        item.part
                          ? null
                          : () => {
                              set({
                                ...body,
                                [area]: (body[area] as readonly unknown[]).filter((_, i) => i !== index),
                              });
                              select({ area, index: Math.max(0, index - 1) });
                            }
                      }
                    />
                  ) : null}
                  {area === "sections" && here ? fieldsOf(item as Section, index) : null}
                </li>
              );
            })}
          </ol>
          {writable ? (
            <Button
              size="small"
              type="text"
              onClick={() => {
                set(fresh(body, area));
                select({ area, index: body[area].length });
              }}
            >
              + {add}
            </Button>
          ) : null}
        </section>
      ))}
    </nav>
  );
}
