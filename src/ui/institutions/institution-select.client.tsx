"use client";

import { Select } from "antd";
import { useEffect, useRef, useState } from "react";
import { countryName } from "../../text/format";
import type { Suggestion } from "../../views/institutions";

const PAUSE_MS = 250;

export interface Chosen {
  readonly id: string;
  readonly name: string;
}

/** Chooses an institution of the register, however large it is: what is typed is looked up there. */
export function InstitutionSelect({
  label,
  chosen,
  onChange,
}: {
  label: string;
  chosen: Chosen | null;
  onChange: (next: Chosen) => void;
}) {
  const [found, setFound] = useState<readonly Suggestion[]>([]);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  const look = (typed: string) => {
    clearTimeout(timer.current);
    timer.current = setTimeout(async () => {
      const response = await fetch(`/api/institutions?${new URLSearchParams({ typed })}`).catch(() => null);
      if (response?.ok) setFound((await response.json()) as readonly Suggestion[]); // written by our own route
    }, PAUSE_MS);
  };
  const known = chosen && !found.some((s) => s.id === chosen.id) ? [{ value: chosen.id, label: chosen.name }] : [];
  const options = [
    ...known,
    ...found.map((s) => ({ value: s.id, label: `${s.name}, ${countryName("en", s.country)}` })),
  ];
  return (
    <Select
      size="small"
      style={{ minWidth: 280 }}
      aria-label={label}
      placeholder="Type a name of the register"
      showSearch={{ filterOption: false, onSearch: look }}
      notFoundContent={null}
      value={chosen?.id ?? null}
      options={options}
      onChange={(id: string) => onChange({ id, name: options.find((o) => o.value === id)?.label ?? "" })}
    />
  );
}
