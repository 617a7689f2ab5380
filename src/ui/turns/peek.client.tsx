"use client";

import { Button } from "antd";
import { useEffect, useState } from "react";
import { formatDate } from "../../text/format";
import type { PeekData } from "../../views/assessment/peek";
import { CombBar } from "../assessment/comb";
import type { TurnLine } from "./turn-line.client";

/** A look at the file on which the cursor stands. */
export function Peek({ line, onOpen, onTake }: { line: TurnLine; onOpen: () => void; onTake: () => void }) {
  const [data, setData] = useState<PeekData | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    const stop = new AbortController();
    const wait = setTimeout(() => {
      fetch(`/api/peek/${line.number}`, { signal: stop.signal })
        .then(async (r) => {
          if (r.ok) setData((await r.json()) as PeekData);
          else setFailed(r.headers.get("x-request-id") ?? "—");
        })
        .catch(() => (stop.signal.aborted ? undefined : setFailed("no connection")));
    }, 120);
    return () => {
      clearTimeout(wait);
      stop.abort();
    };
  }, [line.number]);
  return (
    <>
      <h2 className="serif">{line.name}</h2>
      <p className="quiet">No. {line.number}</p>
      <p className="quiet who">
        {[data?.group, data?.birthDate ? `born ${formatDate("en", data.birthDate)}` : null].filter(Boolean).join(" · ")}
      </p>
      <h3>Next step</h3>
      <p>
        <span className="turn-word" data-turn={line.turn}>
          {line.turnWord}
        </span>
        : {line.deed.charAt(0).toLowerCase() + line.deed.slice(1)}
        {line.due ? (
          <>
            , <span className={line.late ? "late" : ""}>{line.left}</span>
          </>
        ) : null}
        .
      </p>
      {line.mend ? <p className="quiet">Its round is open until {line.mend}: gaps can still be filled.</p> : null}
      <div className="presses">
        <Button type="primary" onClick={onOpen}>
          Open <span className="key">↵</span>
        </Button>
        <Button onClick={onTake}>
          Take <span className="key">t</span>
        </Button>
      </div>
      {data ? (
        <>
          <h3>Choices</h3>
          {data.choices.map((c) => (
            <p key={c.code}>
              {c.rank} · {c.code} {c.title}{" "}
              <span className="quiet">{c.stage === "preparing" ? "preparing" : c.eligibility}</span>
            </p>
          ))}
          <h3>What is here</h3>
          <ul className="peek-list">
            {data.requirements.map((r) => (
              <li key={r.title}>
                <span className="comb">
                  <CombBar standing={r.standing} holds={false} />
                </span>
                <span>{r.title}</span> <span className="quiet">{r.note ?? r.standing}</span>
              </li>
            ))}
          </ul>
          {data.promise ? (
            <p className="quiet">
              Clock: {data.promise.used} of {data.promise.days} working days used by us.
            </p>
          ) : null}
          {line.officer ? <p className="quiet">In the hands of {line.officer}.</p> : null}
        </>
      ) : failed === null ? (
        <p className="quiet">Looking …</p>
      ) : (
        <p className="wrong" role="alert">
          This file could not be looked into ({failed}). The list stays as it is; opening the file tries again.
        </p>
      )}
    </>
  );
}
