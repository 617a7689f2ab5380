"use client";

import { Button, Checkbox } from "antd";
import { type ReactNode, useState } from "react";
import { useAsking } from "../frame/unanswered.client";

export interface CopyRow {
  readonly code: string;
  readonly name: string;
  /** The target has this start already. */
  readonly there: boolean;
  readonly begins: string;
  readonly rulebook: string;
  readonly rounds: ReactNode;
}

/** Chooses the programmes that go along into the next cycle; a programme may leave it out. */
export function CopyCycle({
  to,
  rows,
  copy,
}: {
  to: string;
  rows: readonly CopyRow[];
  copy: (codes: string[]) => Promise<string | null>;
}) {
  const free = rows.filter((r) => !r.there).map((r) => r.code);
  const [chosen, setChosen] = useState<readonly string[]>(free);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const wanted = [...new Set(chosen)];
  return (
    <>
      <table className="plain-table">
        <thead>
          <tr>
            <th>Programme</th>
            <th>Begins</th>
            <th>Rounds</th>
            <th>Rulebook</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={`${row.code} ${row.begins}`}>
              <td>
                <Checkbox
                  disabled={row.there}
                  checked={!row.there && chosen.includes(row.code)}
                  onChange={(e) =>
                    setChosen(e.target.checked ? [...chosen, row.code] : chosen.filter((c) => c !== row.code))
                  }
                >
                  {row.name} <span className="quiet">{row.code}</span>
                </Checkbox>
              </td>
              <td className="figures">{row.there ? <span className="quiet">is planned already</span> : row.begins}</td>
              <td>{row.there ? null : row.rounds}</td>
              <td>{row.there ? null : row.rulebook}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="presses">
        <Button
          type="primary"
          loading={busy}
          disabled={wanted.length === 0}
          onClick={() => begin(async () => setWrong(await copy(wanted)))}
        >
          Plan {wanted.length} {wanted.length === 1 ? "programme" : "programmes"} for entry {to}
        </Button>
        {wrong ? (
          <span role="alert" className="wrong">
            {wrong}
          </span>
        ) : null}
      </div>
    </>
  );
}
