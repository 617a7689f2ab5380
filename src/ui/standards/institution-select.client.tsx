"use client";

import { Select } from "antd";
import { countryName } from "../../text/format";
import { useRegister } from "../form/fields/use-register.client";

export interface Chosen {
  readonly id: string;
  readonly name: string;
}

interface Picked extends Chosen {
  /** The name alone, without the country. */
  readonly title: string;
}

/** Chooses an institution of the register, however large it is: what is typed is looked up there. */
export function InstitutionSelect({
  id,
  label,
  chosen,
  onChange,
}: {
  /** Of the box, where a label stands above it. */
  id?: string;
  label: string;
  chosen: Chosen | null;
  onChange: (next: Picked) => void;
}) {
  const { found, look } = useRegister("");
  const known =
    chosen && !found.suggestions.some((s) => s.id === chosen.id) ? [{ value: chosen.id, label: chosen.name }] : [];
  const options = [
    ...known,
    ...found.suggestions.map((s) => ({ value: s.id, label: `${s.name}, ${countryName("en", s.country)}` })),
  ];
  return (
    <Select
      size={id === undefined ? "small" : "middle"}
      {...(id === undefined ? {} : { id })}
      style={{ minWidth: 280 }}
      aria-label={label}
      placeholder="Type a name of the register"
      showSearch={{ filterOption: false, onSearch: look }}
      notFoundContent={null}
      value={chosen?.id ?? null}
      options={options}
      onChange={(id: string) => {
        const title = found.suggestions.find((s) => s.id === id)?.name ?? "";
        onChange({ id, name: options.find((o) => o.value === id)?.label ?? title, title });
      }}
    />
  );
}
