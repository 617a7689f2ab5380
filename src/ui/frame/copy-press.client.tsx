"use client";

import { Button } from "antd";
import { useState } from "react";

/** Copies a text, and says that it did. */
export function CopyPress({
  text,
  label,
  done,
  small = false,
}: {
  text: string;
  label: string;
  done: string;
  small?: boolean;
}) {
  const [copied, setCopied] = useState(false);
  return (
    <Button
      size={small ? "small" : "middle"}
      onClick={() => void navigator.clipboard.writeText(text).then(() => setCopied(true))}
    >
      {copied ? done : label}
    </Button>
  );
}
