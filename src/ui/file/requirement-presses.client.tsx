"use client";

import { Button } from "antd";
import { useRouter } from "next/navigation";
import { acceptedAs, type RequirementResult } from "../../core/file/result";
import type { ProofLevel } from "../../core/rulebook/requirement";
import { PROOF_WORDS } from "../../text/words/office";
import type { useDialogs } from "../frame/library.client";

/** What is pressed once something came that proves more than a copy. */
const SEEN_WORDS: Readonly<Record<ProofLevel, string>> = {
  claimed: "Taken as stated",
  copy: "Copy seen",
  "certified copy": "Certified copy seen",
  "original seen": "Original seen",
  "from the issuer": "Came from the issuer",
};

/** What an officer may do with a requirement, each with its key. */
export function RequirementPresses({
  requirement,
  preparing,
  lead,
  shown,
  may,
  on,
}: {
  requirement: RequirementResult;
  preparing: boolean;
  lead: boolean;
  /** How many values stand beside it that nobody has confirmed. */
  shown: number;
  may: { readonly judge: boolean; readonly raise: boolean };
  on: {
    readonly accept: (proof?: ProofLevel) => Promise<void>;
    /** Accepts it with every value beside it. */
    readonly acceptWhole: () => Promise<void>;
    readonly confirm: () => Promise<void>;
    readonly ask: () => void;
    readonly sendBack: () => void;
    readonly excuse: () => void;
  };
}) {
  const router = useRouter();
  const { kind, standing } = requirement;
  const as = acceptedAs(requirement);
  const owed = kind === "document" ? requirement.owedProof : null;
  return (
    <div className="presses">
      {kind === "document" && owed ? (
        <p className="quiet">
          Still to come: {PROOF_WORDS[owed.level]}, needed by {owed.neededBy}.
        </p>
      ) : null}
      {may.judge ? (
        <Button type="primary" onClick={() => void on.accept()}>
          {as === "copy" ? "Accept" : `Accept as ${PROOF_WORDS[as]}`} <span className="key">y</span>
        </Button>
      ) : null}
      {may.judge && shown > 0 ? (
        <Button onClick={() => void on.acceptWhole()}>
          Accept, and confirm {shown} as claimed <span className="key">a</span>
        </Button>
      ) : null}
      {may.judge && kind === "document" ? (
        <Button onClick={on.sendBack}>
          Send back <span className="key">x</span>
        </Button>
      ) : null}
      {owed && (may.raise || may.judge) ? (
        <Button onClick={() => void on.accept(owed.level)}>{SEEN_WORDS[owed.level]}</Button>
      ) : null}
      {shown > 0 && standing === "accepted" ? (
        <Button type="primary" onClick={() => void on.confirm()}>
          Confirm {shown} as claimed <span className="key">c</span>
        </Button>
      ) : null}
      {preparing ? (
        <p className="quiet">The applicant is still preparing; nothing can be judged before it is submitted.</p>
      ) : (
        <>
          {kind === "sections" ? (
            <Button onClick={() => router.push("?show=form")}>Open sections for correction</Button>
          ) : kind === "deed" ? null : (
            <Button onClick={on.ask}>
              Ask <span className="key">q</span>
            </Button>
          )}
          {["missing", "promised", "returned"].includes(standing) && (kind !== "fee" || lead) ? (
            <Button onClick={on.excuse}>Excuse</Button>
          ) : null}
        </>
      )}
    </div>
  );
}

/** Asks why something is not needed from this applicant. */
export function askWhy(
  dialogs: ReturnType<typeof useDialogs>,
  what: string,
  excuse: (reason: string) => Promise<void>,
): void {
  let reason = "";
  void dialogs.confirm({
    title: `Excuse: ${what}`,
    icon: null,
    content: (
      <label>
        Why it is not needed from this applicant
        <textarea rows={3} style={{ width: "100%" }} onChange={(e) => (reason = e.target.value)} />
      </label>
    ),
    okText: "Excuse",
    onOk: () => excuse(reason),
  });
}
