"use client";

import { useState } from "react";
import { ConfirmPress } from "../frame/confirm-press.client";
import { type Chosen, InstitutionSelect } from "./institution-select.client";

/** Two entries for one institution become one: this one is kept, the other goes. */
export function MergeForm({
  id,
  name,
  merge,
}: {
  id: string;
  name: string;
  merge: (doubleId: string) => Promise<string | null>;
}) {
  const [double, setDouble] = useState<Chosen | null>(null);
  return (
    <div>
      <InstitutionSelect label="The entry that is the same" chosen={double} onChange={setDouble} />{" "}
      {double && double.id !== id ? (
        <ConfirmPress
          action={() => merge(double.id)}
          label="Make them one"
          question={`“${double.name}” goes, and all its names lead to “${name}”. Every file that names either follows at once.`}
          locale="en"
        />
      ) : null}
    </div>
  );
}
