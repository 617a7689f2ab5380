"use client";

import { Button, Input, Select } from "antd";
import { type GradeMethod, USUAL_METHOD } from "../../core/grades/method";
import { USUAL_MEAN } from "../../core/grades/summary";
import type { Measure } from "../../core/rulebook/rulebook";
import { type FormProps, Labelled, NumberBox, Pick, put } from "./part-fields.client";

type Grade = Extract<Measure, { kind: "grade" }>;
type Bands = Extract<GradeMethod, { kind: "bands" }>;

const METHODS: readonly { readonly value: GradeMethod["kind"]; readonly label: string }[] = [
  { value: "bavarian", label: "the modified Bavarian formula, to 1 … 4" },
  { value: "linear", label: "a straight line between anchors" },
  { value: "bands", label: "a table of bands for each scale" },
  { value: "multiplier", label: "the percentage that the issuer states" },
  { value: "marks", label: "the percentage from marks of the courses" },
];

const NEW_METHODS: Readonly<Record<GradeMethod["kind"], GradeMethod>> = {
  bavarian: { kind: "bavarian" },
  linear: { kind: "linear", anchors: "pass_best", target: { best: "100", pass: "50", worst: "0" } },
  bands: { kind: "bands", tables: [] },
  multiplier: { kind: "multiplier" },
  marks: { kind: "marks", of: "sums" },
};

const ENDS = [
  ["best", "Best of our scale"],
  ["pass", "Lowest pass of our scale"],
  ["worst", "Worst of our scale"],
] as const;

function Linear({
  value,
  disabled,
  onChange,
}: {
  value: Extract<GradeMethod, { kind: "linear" }>;
  disabled: boolean;
  onChange: (next: GradeMethod) => void;
}) {
  return (
    <>
      <Pick
        label="Anchors"
        disabled={disabled}
        value={value.anchors}
        options={[
          { value: "pass_best", label: "lowest pass and best; what fails has no number" },
          { value: "worst_best", label: "worst and best; pass marks need not meet" },
          { value: "three_point", label: "worst, lowest pass and best, with a bend" },
        ]}
        onChange={(anchors) => onChange({ ...value, anchors })}
      />
      {ENDS.map(([name, label]) => (
        <Labelled key={name} label={label}>
          {(id) => (
            <Input
              id={id}
              disabled={disabled}
              value={value.target[name]}
              onChange={(e) => onChange({ ...value, target: { ...value.target, [name]: e.target.value.trim() } })}
            />
          )}
        </Labelled>
      ))}
    </>
  );
}

type Table = Bands["tables"][number];

function BandTable({
  title,
  value,
  disabled,
  onChange,
  onRemove,
}: {
  title: string;
  value: Table;
  disabled: boolean;
  onChange: (next: Table) => void;
  onRemove: () => void;
}) {
  const row = (index: number, change: Partial<Table["bands"][number]>) =>
    onChange({ ...value, bands: value.bands.map((b, i) => (i === index ? { ...b, ...change } : b)) });
  return (
    <fieldset className="plan-wide band-table">
      <legend>{title}: from this mark on, best first, it is ours</legend>
      {value.bands.map((band, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: bands have no other name while they are typed
        <span key={i} className="letter-row">
          <Input
            aria-label={`${title}, bound ${i + 1}`}
            disabled={disabled}
            value={band.from}
            onChange={(e) => row(i, { from: e.target.value.trim() })}
          />
          <Input
            aria-label={`${title}, our grade ${i + 1}`}
            disabled={disabled}
            value={band.grade}
            onChange={(e) => row(i, { grade: e.target.value.trim() })}
          />
          {disabled ? null : (
            <Button
              size="small"
              type="text"
              aria-label={`Remove bound ${band.from}`}
              onClick={() => onChange({ ...value, bands: value.bands.filter((_, n) => n !== i) })}
            >
              ×
            </Button>
          )}
        </span>
      ))}
      {disabled ? null : (
        <span className="letter-row">
          <Button size="small" onClick={() => onChange({ ...value, bands: [...value.bands, { from: "", grade: "" }] })}>
            Add a bound
          </Button>
          <Button size="small" type="text" onClick={onRemove}>
            Remove this table
          </Button>
        </span>
      )}
      <Pick
        label={`${title}: before the look-up a mark is`}
        disabled={disabled}
        value={value.roundFirst === null ? "as it is" : String(value.roundFirst)}
        options={[
          { value: "as it is", label: "taken as it is" },
          { value: "0", label: "rounded to a whole number" },
          { value: "1", label: "rounded to one decimal" },
          { value: "2", label: "rounded to two decimals" },
        ]}
        onChange={(round) => onChange({ ...value, roundFirst: round === "as it is" ? null : Number(round) })}
      />
    </fieldset>
  );
}

function BandTables({ context, value, onChange }: FormProps<Bands>) {
  const { disabled, office } = context;
  const titleOf = (key: string) => office.scales.find((s) => s.key === key)?.title.en ?? key;
  const rest = office.scales.filter((s) => !value.tables.some((t) => t.scale === s.key));
  return (
    <>
      {value.tables.map((table) => (
        <BandTable
          key={table.scale}
          title={titleOf(table.scale)}
          value={table}
          disabled={disabled}
          onChange={(next) =>
            onChange({ ...value, tables: value.tables.map((t) => (t.scale === table.scale ? next : t)) })
          }
          onRemove={() => onChange({ ...value, tables: value.tables.filter((t) => t.scale !== table.scale) })}
        />
      ))}
      {disabled || rest.length === 0 ? null : (
        <Labelled label="Add a table for the scale">
          {(id) => (
            <Select<string | null>
              id={id}
              value={null}
              showSearch={{ optionFilterProp: "label" }}
              options={rest.map((s) => ({ value: s.key, label: s.title.en }))}
              onChange={(scale) => {
                if (scale !== null)
                  onChange({ ...value, tables: [...value.tables, { scale, roundFirst: null, bands: [] }] });
              }}
            />
          )}
        </Labelled>
      )}
    </>
  );
}

/** Which courses make the mean, and which of several attempts. */
function MeanFields({ context, value, onChange }: FormProps<Grade>) {
  const { disabled, office } = context;
  const mean = value.mean ?? USUAL_MEAN;
  const set = (change: Partial<typeof mean>) => onChange({ ...value, mean: { ...mean, ...change } });
  return (
    <>
      <Pick
        label="Of a course taken more than once counts"
        disabled={disabled}
        value={mean.repeats}
        options={[
          { value: "best", label: "the best attempt" },
          { value: "latest", label: "the latest attempt" },
          { value: "first", label: "the first attempt" },
          { value: "mean", label: "the mean of the attempts" },
        ]}
        onChange={(repeats) => set({ repeats })}
      />
      <Pick
        label="Failed attempts"
        disabled={disabled}
        value={mean.failed}
        options={[
          { value: "include", label: "are among the attempts" },
          { value: "exclude", label: "are left out" },
        ]}
        onChange={(failed) => set({ failed })}
      />
      <Pick
        label="Credits taken over from elsewhere"
        disabled={disabled}
        value={mean.transfer}
        options={[
          { value: "credits_only", label: "count as credits, without their grade" },
          { value: "include", label: "count with their grade" },
          { value: "exclude", label: "do not count" },
        ]}
        onChange={(transfer) => set({ transfer })}
      />
      <Labelled label="Only courses in (none: all)">
        {(id) => (
          <Select
            id={id}
            mode="multiple"
            showSearch={{ optionFilterProp: "label" }}
            disabled={disabled}
            value={value.areas ?? []}
            options={office.areas.map((a) => ({ value: a.key, label: a.title.en }))}
            onChange={(areas: string[]) => onChange(put(value, "areas", areas.length > 0 ? areas : undefined))}
          />
        )}
      </Labelled>
      <NumberBox
        label="Only the latest ECTS credits (empty: all)"
        disabled={disabled}
        value={value.lastEcts}
        onChange={(ects) => onChange(put(value, "lastEcts", ects))}
      />
    </>
  );
}

/** A grade on our scale: the method that carries it over, what it stands on, and how it is rounded. */
export function GradePart({ context, value, onChange }: FormProps<Grade>) {
  const { disabled } = context;
  const method = value.method ?? USUAL_METHOD;
  const setMethod = (next: GradeMethod) =>
    onChange(put(value, "method", next.kind === USUAL_METHOD.kind ? undefined : next));
  return (
    <>
      <Pick<GradeMethod["kind"]>
        label="Method"
        disabled={disabled}
        value={method.kind}
        options={METHODS}
        onChange={(kind) => setMethod(NEW_METHODS[kind])}
      />
      {method.kind === "linear" ? <Linear value={method} disabled={disabled} onChange={setMethod} /> : null}
      {method.kind === "bands" ? <BandTables context={context} value={method} onChange={setMethod} /> : null}
      {method.kind === "marks" ? (
        <Pick
          label="Percentage"
          disabled={disabled}
          value={method.of}
          options={[
            { value: "sums", label: "all marks obtained of all marks possible" },
            { value: "rows", label: "mean of each course’s percentage, where the issuer says so" },
          ]}
          onChange={(of) => setMethod({ ...method, of })}
        />
      ) : (
        <Pick
          label="Stands on"
          disabled={disabled}
          value={value.basis ?? "final grade"}
          options={[
            { value: "final grade", label: "the final grade, the mean of the courses while there is none" },
            { value: "courses", label: "the mean of the courses" },
          ]}
          onChange={(basis) => onChange(put(value, "basis", basis === "final grade" ? undefined : basis))}
        />
      )}
      <Pick
        label="Of several degrees"
        disabled={disabled}
        value={value.several ?? "last"}
        options={[
          { value: "last", label: "the one that ends last" },
          { value: "mean", label: "the mean of all, each carried over on its own scale" },
        ]}
        onChange={(several) => onChange(put(value, "several", several === "last" ? undefined : several))}
      />
      <MeanFields context={context} value={value} onChange={onChange} />
      <NumberBox
        label="Decimals"
        disabled={disabled}
        value={value.decimals}
        onChange={(decimals) => onChange({ ...value, decimals: decimals ?? 1 })}
      />
      <Pick
        label="Rounding"
        disabled={disabled}
        value={value.rounding}
        options={[
          { value: "truncate", label: "further decimals are dropped" },
          { value: "half_up", label: "rounded, halves up" },
          { value: "half_even", label: "rounded, halves to even" },
        ]}
        onChange={(rounding) => onChange({ ...value, rounding })}
      />
      <Pick
        label="Compared"
        disabled={disabled}
        value={value.compare}
        options={[
          { value: "rounded", label: "as it is rounded" },
          { value: "exact", label: "exactly" },
        ]}
        onChange={(compare) => onChange({ ...value, compare })}
      />
    </>
  );
}
