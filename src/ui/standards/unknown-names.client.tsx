"use client";

import { Button } from "antd";
import Link from "next/link";
import { useState } from "react";
import { countryName } from "../../text/format";
import type { UnknownName } from "../../views/standards/institutions";
import { useAsking } from "../frame/unanswered.client";
import { type Chosen, InstitutionSelect } from "./institution-select.client";

type LinkName = (institutionId: string, written: string, country: string) => Promise<string | null>;

function Row({ unknown, link }: { unknown: UnknownName; link: LinkName }) {
  const [chosen, setChosen] = useState<Chosen | null>(unknown.like);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const query = new URLSearchParams({ name: unknown.name, country: unknown.country });
  return (
    <tr>
      <td>
        <strong>{unknown.name}</strong>{" "}
        {unknown.country ? <span className="quiet">{countryName("en", unknown.country)}</span> : null}
      </td>
      <td className="figures">{unknown.files}</td>
      <td>
        <InstitutionSelect label={`What “${unknown.name}” is in the register`} chosen={chosen} onChange={setChosen} />{" "}
        <Button
          size="small"
          loading={busy}
          disabled={chosen === null}
          onClick={() =>
            begin(async () => {
              if (chosen === null) return;
              setWrong(await link(chosen.id, unknown.name, unknown.country));
            })
          }
        >
          It is this one
        </Button>{" "}
        <Link href={`/office/institutions/new?${query}`}>Add it</Link>
        {wrong ? (
          <span role="alert" className="wrong">
            {" "}
            {wrong}
          </span>
        ) : null}
      </td>
    </tr>
  );
}

/** Names that applicants wrote and that the register does not know: an officer says which it is, or adds it. */
export function UnknownNames({ names, link }: { names: readonly UnknownName[]; link: LinkName }) {
  return (
    <table className="plain-table">
      <thead>
        <tr>
          <th>As it was written</th>
          <th>Files</th>
          <th>In the register</th>
        </tr>
      </thead>
      <tbody>
        {names.map((u) => (
          <Row key={`${u.name} ${u.country}`} unknown={u} link={link} />
        ))}
      </tbody>
    </table>
  );
}
