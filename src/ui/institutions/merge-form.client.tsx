"use client";

import { Select } from "antd";
import { useState } from "react";
import { countryName } from "../../text/format";
import { ConfirmPress } from "../confirm-press.client";

/** Two entries for one institution become one: this one is kept, the other goes. */
export function MergeForm({
  name,
  others,
  merge,
}: {
  name: string;
  others: readonly { readonly id: string; readonly name: string; readonly country: string }[];
  merge: (doubleId: string) => Promise<string | null>;
}) {
  const [double, setDouble] = useState<string | null>(null);
  const chosen = others.find((o) => o.id === double);
  return (
    <div className="plan-line">
      <Select
        aria-label="The double"
        style={{ minWidth: 320 }}
        placeholder="The entry that is the same"
        showSearch={{ optionFilterProp: "label" }}
        value={double}
        options={others.map((o) => ({ value: o.id, label: `${o.name}, ${countryName("en", o.country)}` }))}
        onChange={(id: string) => setDouble(id)}
      />
      {chosen ? (
        <ConfirmPress
          action={() => merge(chosen.id)}
          label="Make them one"
          question={`“${chosen.name}” goes, and all its names lead to “${name}”. Every file that names either follows at once.`}
          locale="en"
        />
      ) : null}
    </div>
  );
}
