"use client";

import { Button, Input, Select } from "antd";
import { useState } from "react";
import type { z } from "zod";
import { programmeName } from "../../core/catalogue/programme";
import { type AssigningRule, saveAssigningInput } from "../../core/turns/assigning";
import type { AssigningPage } from "../../views/turns/assigning";
import { SaidLine } from "../catalogue/said";
import { useCheckedForm } from "../catalogue/use-checked-form.client";

const EMPTY: AssigningRule = { programmes: [], groups: [], from: "", to: "", officers: [] };
const EXPECTED = {
  rules: "Every rule needs at least one officer, and letters in their order.",
};

/** A rule with a mark of its own, so that its fields stay with it when it moves. */
interface Draft extends AssigningRule {
  readonly id: number;
}

type Change = (part: Partial<AssigningRule>) => void;

function Letters({
  rule,
  no,
  disabled,
  change,
}: {
  rule: AssigningRule;
  no: number;
  disabled: boolean;
  change: Change;
}) {
  const take = (value: string) =>
    value
      .toUpperCase()
      .replace(/[^A-Z]/gu, "")
      .slice(-1);
  return (
    <span className="letters">
      <Input
        aria-label={`Rule ${no}: family names from`}
        value={rule.from}
        placeholder="A"
        disabled={disabled}
        onChange={(e) => change({ from: take(e.target.value) })}
      />
      –
      <Input
        aria-label={`Rule ${no}: family names up to`}
        value={rule.to}
        placeholder="Z"
        disabled={disabled}
        onChange={(e) => change({ to: take(e.target.value) })}
      />
    </span>
  );
}

function RuleRow({
  rule,
  no,
  page,
  change,
  move,
  remove,
}: {
  rule: AssigningRule;
  no: number;
  page: AssigningPage;
  change: Change;
  /** Null for the first. */
  move: (() => void) | null;
  remove: () => void;
}) {
  const { programmes, groups, officers, plans } = page;
  return (
    <tr>
      <td>{no}</td>
      <td>
        <Select
          mode="multiple"
          aria-label={`Rule ${no}: programmes`}
          value={rule.programmes}
          placeholder="all programmes"
          disabled={!plans}
          showSearch={{ optionFilterProp: "label" }}
          onChange={(value) => change({ programmes: value })}
          options={programmes.map((p) => ({ value: p.code, label: `${p.code} ${programmeName(p, "en")}` }))}
        />
      </td>
      <td>
        <Select
          mode="multiple"
          aria-label={`Rule ${no}: applicant groups`}
          value={rule.groups}
          placeholder="all groups"
          disabled={!plans}
          onChange={(value) => change({ groups: value })}
          options={groups.map((g) => ({ value: g.key, label: g.title.en }))}
        />
      </td>
      <td>
        <Letters rule={rule} no={no} disabled={!plans} change={change} />
      </td>
      <td>
        <Select
          mode="multiple"
          aria-label={`Rule ${no}: officers`}
          value={rule.officers}
          placeholder="who takes them"
          disabled={!plans}
          showSearch={{ optionFilterProp: "label" }}
          onChange={(value) => change({ officers: value })}
          options={[
            ...officers.map((o) => ({ value: o.id, label: o.name })),
            ...rule.officers
              .filter((id) => !officers.some((o) => o.id === id))
              .map((id) => ({ value: id, label: "Somebody who left" })),
          ]}
        />
      </td>
      {plans ? (
        <td>
          <span className="presses">
            {move ? (
              <Button size="small" onClick={move} aria-label={`Rule ${no}: up`}>
                Up
              </Button>
            ) : null}
            <Button size="small" onClick={remove} aria-label={`Rule ${no}: take away`}>
              Take away
            </Button>
          </span>
        </td>
      ) : null}
    </tr>
  );
}

/** The rules by which a submitted application gets its officer: the first that fits counts. */
export function AssigningRules({
  page,
  save,
}: {
  page: AssigningPage;
  save: (input: z.input<typeof saveAssigningInput>) => Promise<string | null>;
}) {
  const [drafts, setDrafts] = useState<readonly Draft[]>(page.rules.map((rule, id) => ({ ...rule, id })));
  // What somebody else saves meanwhile does not come under what is being changed here: it is said when this is saved.
  const [seen, setSeen] = useState(page.version);
  const form = useCheckedForm(saveAssigningInput, EXPECTED, save, () => setSeen((version) => version + 1));
  const change = (id: number, part: Partial<AssigningRule>) =>
    setDrafts((all) => all.map((d) => (d.id === id ? { ...d, ...part } : d)));
  const raise = (at: number) =>
    setDrafts((all) => {
      const moved = all[at];
      return moved ? all.flatMap((d, i) => (i === at - 1 ? [moved, d] : i === at ? [] : [d])) : all;
    });
  const add = () => setDrafts((all) => [...all, { ...EMPTY, id: Math.max(-1, ...all.map((d) => d.id)) + 1 }]);
  return (
    <section>
      <h2>Rules</h2>
      <p className="quiet">
        A submitted application that nobody has goes by the first rule that fits: to whoever of its officers is there,
        works on the programme and has the fewest files. What a rule leaves empty counts for all.
      </p>
      {drafts.length === 0 ? (
        <p className="empty">There is no rule: applications wait until somebody takes them.</p>
      ) : (
        <table className="plain-table">
          <thead>
            <tr>
              <th scope="col">No.</th>
              <th scope="col">First choice</th>
              <th scope="col">Applicant group</th>
              <th scope="col">Family name</th>
              <th scope="col">Officers</th>
              {page.plans ? <th scope="col">Order</th> : null}
            </tr>
          </thead>
          <tbody>
            {drafts.map((draft, i) => (
              <RuleRow
                key={draft.id}
                rule={draft}
                no={i + 1}
                page={page}
                change={(part) => change(draft.id, part)}
                move={i === 0 ? null : () => raise(i)}
                remove={() => setDrafts((all) => all.filter((d) => d.id !== draft.id))}
              />
            ))}
          </tbody>
        </table>
      )}
      {page.plans ? (
        <p className="presses">
          <Button onClick={add}>Add a rule</Button>
          <Button
            type="primary"
            loading={form.busy}
            onClick={() => form.save({ version: seen, rules: drafts.map(({ id: _id, ...rule }) => ({ ...rule })) })}
          >
            Save the rules
          </Button>
          <SaidLine said={form.said} />
        </p>
      ) : null}
    </section>
  );
}
