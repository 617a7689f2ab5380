"use client";

import { Checkbox, InputNumber } from "antd";
import type { ReferenceSet } from "../../core/standards/reference-set";
import { EMPTY_WORDS, KeyBox, Labelled, orNothing, put, Words } from "../rulebook/part-fields.client";

type Campus = ReferenceSet["campuses"][number];

interface Props {
  readonly value: Campus;
  readonly map: ReferenceSet["map"];
  readonly others: readonly Campus[];
  readonly disabled: boolean;
  readonly onChange: (next: Campus) => void;
}

/** One campus with its place on the drawn map: a press on the map moves it there. */
export function CampusPart({ value, map, others, disabled, onChange }: Props) {
  const move = (e: React.MouseEvent<SVGSVGElement>) => {
    if (disabled) return;
    const box = e.currentTarget.getBoundingClientRect();
    const at = (from: number, size: number) => Math.min(100, Math.max(0, Math.round((from / size) * 100)));
    onChange({ ...value, x: at(e.clientX - box.left, box.width), y: at(e.clientY - box.top, box.height) });
  };
  return (
    <div className="part-form plan-form">
      <KeyBox value={value.key} disabled={disabled} onChange={(key) => onChange({ ...value, key })} />
      <Words label="Name" value={value.title} disabled={disabled} onChange={(title) => onChange({ ...value, title })} />
      <Words
        label="A few words about it"
        value={value.note ?? EMPTY_WORDS}
        disabled={disabled}
        onChange={(note) => onChange(put(value, "note", orNothing(note)))}
      />
      <Words
        label="Region, for those who look for that"
        value={value.region ?? EMPTY_WORDS}
        disabled={disabled}
        onChange={(region) => onChange(put(value, "region", orNothing(region)))}
      />
      <div className="plan-field">
        <Checkbox
          disabled={disabled}
          checked={value.remote ?? false}
          onChange={(e) => onChange(put(value, "remote", e.target.checked || undefined))}
        >
          nobody has to be there: it stands in the list of places and not on the map
        </Checkbox>
      </div>
      {(["x", "y"] as const).map((name) => (
        <Labelled
          key={name}
          label={name === "x" ? "Place on the map, from the left" : "Place on the map, from the top"}
        >
          {(id) => (
            <InputNumber
              id={id}
              min={0}
              max={100}
              disabled={disabled}
              value={value[name]}
              onChange={(n) => onChange({ ...value, [name]: n ?? 0 })}
            />
          )}
        </Labelled>
      ))}
      <figure className="plan-wide campus-map placing">
        {/* biome-ignore lint/a11y/useKeyWithClickEvents: the two numbers beside it do the same from the keyboard */}
        <svg viewBox="0 0 100 100" onClick={move}>
          <title>The map; a press moves the campus there</title>
          <rect className="sea" width="100" height="100" />
          {map?.land.map((d) => (
            <path key={d} className="land" d={d} />
          ))}
          {map?.water.map((d) => (
            <path key={d} className="river" d={d} />
          ))}
          {others.map((c) => (
            <circle key={c.key} className="dot other" cx={c.x} cy={c.y} r="1.8" />
          ))}
          <circle className="dot" cx={value.x} cy={value.y} r="3" />
        </svg>
      </figure>
    </div>
  );
}
