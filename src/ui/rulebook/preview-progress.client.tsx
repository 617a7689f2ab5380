"use client";

import { Button, Progress } from "antd";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

const LOOK_AGAIN_MS = 1000;

/** Begins a preview and shows how far it is; it goes on when the page is left. */
export function PreviewProgress({
  state,
  begin,
}: {
  state: { readonly done: number; readonly total: number; readonly finished: boolean; readonly stale: boolean } | null;
  begin: () => Promise<string | null>;
}) {
  const router = useRouter();
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, start] = useAsking();
  const running = state !== null && !state.finished;
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(() => router.refresh(), LOOK_AGAIN_MS);
    return () => clearInterval(timer);
  }, [running, router]);
  return (
    <div className="preview-progress">
      {running ? (
        <div role="status">
          <p>
            {state.done} of {state.total} files looked at. You can leave this page; the work goes on.
          </p>
          <Progress percent={state.total === 0 ? 0 : Math.round((state.done / state.total) * 100)} showInfo={false} />
        </div>
      ) : (
        <>
          {state?.stale ? <p>The draft has changed since this was worked out.</p> : null}
          <Button
            loading={busy}
            onClick={() =>
              start(async () => {
                setWrong(await begin());
              })
            }
          >
            {state ? "Work it out again" : "Work it out"}
          </Button>
        </>
      )}
      <Wrong text={wrong} />
    </div>
  );
}
