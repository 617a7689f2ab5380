"use client";

import { Button } from "antd";
import { useState } from "react";
import { useAsking } from "../frame/unanswered.client";

/** One press by which the register's scale is confirmed wherever degrees of the institution count on another. */
export function CorrectScales({
  scale,
  files,
  correct,
}: {
  scale: string;
  files: number;
  correct: () => Promise<string>;
}) {
  const [said, setSaid] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  return (
    <div className="presses">
      {files === 0 ? null : (
        <Button
          loading={busy}
          onClick={() =>
            begin(async () => {
              setSaid(await correct());
            })
          }
        >
          Confirm “{scale}” in {files === 1 ? "this file" : `these ${files} files`}
        </Button>
      )}
      {said ? <span role="status">{said}</span> : null}
    </div>
  );
}
