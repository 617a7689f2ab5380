"use client";

import { Button } from "antd";
import { useState } from "react";
import type { ChoiceOffer } from "../../views/application/choice-offer";
import type { Elsewhere as Data, OtherPlace } from "../../views/assessment/elsewhere";
import { WithReason } from "../assessment/with-reason.client";
import { useAsking } from "../frame/unanswered.client";
import type { ChoiceActs } from "./choice-acts.client";

interface Props {
  readonly choice: string;
  /** Which campus, mode and track it has now. */
  readonly now: ChoiceOffer["now"];
  readonly name: string;
  readonly act: ChoiceActs["act"];
  readonly look: ChoiceActs["look"];
}

const ROUND_WORDS = { coming: "not yet open", open: "open", full: "full", closed: "closed" } as const;

const nameOf = ({ code, title, track, same }: OtherPlace): string =>
  same ? (track?.title ?? "") : `${code} ${title}${track ? ` · ${track.title}` : ""}`;

/** Findings that are not met, or not known yet, in one line each; nothing where all are met. */
function Findings({ findings }: { findings: OtherPlace["findings"] }) {
  const open = findings.filter((f) => f.finding !== "met");
  if (open.length === 0) return <span className="quiet">every rule is met</span>;
  return open.map((f) => (
    <span key={f.title} className="line">
      <span className="quiet">{f.finding}:</span> {f.title}
    </span>
  ));
}

function Place({ place, choice, now, name, act }: Props & { readonly place: OtherPlace }) {
  const [said, setSaid] = useState<string | null>(null);
  const title = nameOf(place);
  const target = { roundId: place.roundId, track: place.track?.key ?? null };
  return (
    <li>
      <div className="elsewhere-place">
        <div>
          <strong>{title}</strong>
          <span className="line quiet">{place.same ? "another track" : `round ${ROUND_WORDS[place.round]}`}</span>
        </div>
        <div>{place.eligibility}</div>
        <div>
          <Findings findings={place.findings} />
        </div>
        <div>
          {place.missing.length === 0 ? (
            <span className="quiet">nothing would be missing</span>
          ) : (
            `would be missing: ${place.missing.join(", ")}`
          )}
        </div>
      </div>
      {said ? (
        <p role="status" className="said">
          {said}
        </p>
      ) : null}
      <div className="elsewhere-acts">
        <WithReason
          open={`Put it on ${place.same ? title : place.code}`}
          does="Put it there"
          label="Why"
          consequence={`${title} counts from now on: its rules, its requirements and its fee. What was sent stays. A mail tells ${name}, and why.`}
          act={(reason) =>
            place.same
              ? act("move-choice", { choiceId: choice, ...now, track: target.track, reason })
              : act("move-programme", { choiceId: choice, ...target, reason })
          }
        />
        <WithReason
          open="Suggest it"
          does="Write to them"
          label="What you write"
          consequence={`A mail tells ${name} that ${title} may suit them, with your words. Nothing changes until they ask for it.`}
          act={async (reason) => {
            const refused = await act("suggest-move", { choiceId: choice, ...target, reason });
            if (refused === null) setSaid(`We wrote to ${name} about ${title}.`);
            return refused;
          }}
        />
      </div>
    </li>
  );
}

/** Where a submitted choice would stand on the other tracks and programmes of its procedure, worked out when somebody asks. */
export function Elsewhere(props: Props) {
  const { choice, look: find } = props;
  const [data, setData] = useState<Data | null>(null);
  const [gone, setGone] = useState(false);
  const [busy, begin] = useAsking();
  const look = () =>
    begin(async () => {
      const found = await find(choice);
      setData(found);
      setGone(found === null);
    });
  if (!data)
    return (
      <div className="presses">
        <Button loading={busy} onClick={look}>
          Where else would this stand?
        </Button>
        {gone ? <span role="alert">This file cannot be read any more. Load the page again.</span> : null}
      </div>
    );
  return (
    <section className="elsewhere" aria-label="Where else this would stand">
      <p className="quiet">
        With the same answers and documents; nothing has been moved. Here it is {data.now.eligibility}.
      </p>
      {data.places.length === 0 ? (
        <p className="empty">This procedure has no other track or programme that the file does not hold.</p>
      ) : (
        <ul>
          {data.places.map((place) => (
            <Place key={`${place.roundId} ${place.track?.key ?? ""}`} place={place} {...props} />
          ))}
        </ul>
      )}
    </section>
  );
}
