"use client";

import { useState } from "react";
import { goingText, useGoing } from "../sending/going-line.client";
import { refusedText, sendFile } from "../sending/send-form";

/** Chooses one file of the office's and sends it at once, with what belongs to it; says how far it is, and why it was not taken. */
export function FilePress({
  label,
  to,
  told,
  onSent,
}: {
  label: string;
  to: string;
  told: Readonly<Record<string, string>>;
  onSent: () => void;
}) {
  const { going, onProgress, end } = useGoing();
  const [wrong, setWrong] = useState<string | null>(null);
  const send = async (file: File) => {
    setWrong(null);
    onProgress(0, false);
    try {
      const { status, body } = await sendFile(to, told, file, onProgress);
      if (status === 200) onSent();
      else setWrong(refusedText("en", body));
    } catch {
      setWrong("There is no connection. Choose the file again: it goes on where it stopped.");
    }
    end();
  };
  return (
    <>
      <label className="file-press">
        {goingText(going) ?? label}
        <input
          type="file"
          accept="application/pdf,image/png,image/jpeg"
          disabled={going !== null}
          onChange={(e) => {
            const [file] = e.target.files ?? [];
            e.target.value = "";
            if (file) void send(file);
          }}
        />
      </label>
      {wrong ? (
        <span role="alert" className="wrong">
          {" "}
          {wrong}
        </span>
      ) : null}
    </>
  );
}
