"use client";

import { Select, type SelectProps } from "antd";
import { useEffect, useState } from "react";
import { countryName } from "../../../text/format";
import { sentence } from "../../../text/sentence";
import type { ScalesInUse } from "../../../views/standards/scales-in-use";
import type { FieldInputProps } from "./field-input-props";

const NOTHING: ScalesInUse = { by: null, scales: [] };

/** What is usual beside a country and an institution, once both stand there. */
function useScalesInUse(country: string, institution: string): ScalesInUse {
  const [found, setFound] = useState<ScalesInUse>(NOTHING);
  useEffect(() => {
    let over = false;
    setFound(NOTHING);
    if (country !== "" || institution !== "")
      fetch(`/api/scales?${new URLSearchParams({ country, institution })}`)
        .then((r) => (r.ok ? (r.json() as Promise<ScalesInUse>) : NOTHING))
        .then(
          (scales) => {
            if (!over) setFound(scales);
          },
          () => undefined, // without a line all scales stand in their usual order
        );
    return () => {
      over = true;
    };
  }, [country, institution]);
  return found;
}

/** A grade scale: those that other degrees of the institution, or of the country, are graded on are proposed before all others. */
export function ScaleInput(props: FieldInputProps) {
  const { id, field, value, locale, office, country, institution, disabled, invalid, describedBy } = props;
  const inUse = useScalesInUse(country ?? "", institution ?? "");
  const all = [
    ...office.scales.map((s) => ({ value: s.key, label: s.title[locale] })),
    { value: "other", label: sentence(locale, "form.other") },
  ];
  const usual = inUse.scales.flatMap((key) => all.filter((o) => o.value === key));
  const heading =
    inUse.by === "country" && country
      ? sentence(locale, "form.usualIn", { country: countryName(locale, country) })
      : sentence(locale, "form.usualThere");
  const options: SelectProps<string>["options"] =
    usual.length === 0
      ? all
      : [
          { label: heading, options: usual },
          { label: sentence(locale, "form.otherScales"), options: all.filter((o) => !usual.includes(o)) },
        ];
  const pick = (picked?: string) => {
    props.onChange(picked ?? null);
    props.onLeave(picked ?? null);
  };
  return (
    <Select<string>
      id={id}
      disabled={disabled}
      style={{ width: "100%" }}
      status={invalid ? "error" : ""}
      aria-describedby={describedBy}
      aria-required={field.required}
      placeholder={sentence(locale, "form.choose")}
      showSearch={{ optionFilterProp: "label" }}
      allowClear={!field.required}
      value={typeof value === "string" && value !== "" ? value : undefined}
      options={options}
      onChange={pick}
    />
  );
}
