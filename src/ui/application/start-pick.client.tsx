"use client";

import { Select } from "antd";
import { useRouter } from "next/navigation";
import { useId } from "react";

/** Which start the figures are of. */
export function StartPick({
  shown,
  starts,
}: {
  shown: string;
  starts: readonly { readonly value: string; readonly label: string }[];
}) {
  const id = useId();
  const router = useRouter();
  return (
    <>
      <label htmlFor={id}>Start</label>
      <Select
        id={id}
        className="start-pick"
        showSearch={{ optionFilterProp: "label" }}
        value={shown}
        options={[...starts]}
        onChange={(start: string) => router.push(`/office/figures?start=${start}`)}
      />
    </>
  );
}
