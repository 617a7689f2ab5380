"use client";

import { Button } from "antd";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { fileAfter } from "../frame/kept-list";

/** The way on to the next file of the list that somebody came from: loud once nothing in this one is ours any more. */
export function NextFile({ number, done }: { number: string; done: boolean }) {
  const router = useRouter();
  const [next, setNext] = useState<ReturnType<typeof fileAfter>>(null);
  useEffect(() => setNext(fileAfter(number)), [number]);
  const href = next === null ? null : `/office/files/${next.number}`;
  // It is there before somebody asks for it.
  useEffect(() => {
    if (href !== null) router.prefetch(href);
  }, [href, router]);
  const go = () => {
    if (href !== null) router.push(href);
  };
  useHotkeys("f", go, { enabled: href !== null }, [href]);
  if (next === null) return done ? <p className="quiet">Nothing here is ours at present.</p> : null;
  const words = (
    <>
      Next in {next.title}: {next.name} <span className="key">f</span>
    </>
  );
  return (
    <p className="next-file" data-done={done}>
      {done ? "Nothing here is ours at present. " : ""}
      {done ? (
        <Button type="primary" onClick={go}>
          {words}
        </Button>
      ) : (
        <button type="button" className="link-button" onClick={go}>
          {words}
        </button>
      )}{" "}
      <span className="quiet">{next.left === 1 ? "the last of the list" : `${next.left} to come in the list`}</span>
    </p>
  );
}
