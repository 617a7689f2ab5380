"use client";

import { Button, Select } from "antd";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState, useTransition } from "react";
import { countryName } from "../../text/format";
import type { UnknownName } from "../../views/institutions";

type LinkName = (institutionId: string, written: string, country: string) => Promise<string | null>;

function Row({
  unknown,
  register,
  link,
}: {
  unknown: UnknownName;
  register: readonly { readonly value: string; readonly label: string }[];
  link: LinkName;
}) {
  const router = useRouter();
  const [chosen, setChosen] = useState(unknown.like?.id ?? null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const query = new URLSearchParams({ name: unknown.name, country: unknown.country });
  return (
    <tr>
      <td>
        <strong>{unknown.name}</strong>{" "}
        {unknown.country ? <span className="quiet">{countryName("en", unknown.country)}</span> : null}
      </td>
      <td className="figures">{unknown.files}</td>
      <td>
        <Select
          size="small"
          style={{ minWidth: 260 }}
          aria-label={`What “${unknown.name}” is in the register`}
          placeholder="Choose from the register"
          showSearch={{ optionFilterProp: "label" }}
          value={chosen}
          options={register.map((o) => ({ ...o }))}
          onChange={(id: string) => setChosen(id)}
        />{" "}
        <Button
          size="small"
          loading={busy}
          disabled={chosen === null}
          onClick={() =>
            begin(async () => {
              if (chosen === null) return;
              setWrong(await link(chosen, unknown.name, unknown.country));
              router.refresh();
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
export function UnknownNames({
  names,
  register,
  link,
}: {
  names: readonly UnknownName[];
  register: readonly { readonly value: string; readonly label: string }[];
  link: LinkName;
}) {
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
          <Row key={`${u.name} ${u.country}`} unknown={u} register={register} link={link} />
        ))}
      </tbody>
    </table>
  );
}
