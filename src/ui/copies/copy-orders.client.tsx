"use client";

import { Progress } from "antd";
import { useRouter } from "next/navigation";
import { useEffect } from "react";
import { formatBytes, formatMoment } from "../../text/format";
import type { CopyOrder } from "../../views/copies/copies";

const LOOK_MS = 1500;

const READER_WORDS: Readonly<Record<CopyOrder["reader"], string>> = {
  office: "for the office",
  assessors: "for those who assess",
  finance: "for finance",
};

const files = (count: number): string => (count === 1 ? "one application" : `${count} applications`);

/** Orders of copies, with progress while a job makes them; the page looks again by itself until all are made. */
export function CopyOrders({ orders, zone }: { orders: readonly CopyOrder[]; zone: string }) {
  const router = useRouter();
  const working = orders.some((o) => o.made < o.total);
  useEffect(() => {
    if (!working) return;
    const look = setInterval(() => router.refresh(), LOOK_MS);
    return () => clearInterval(look);
  }, [working, router]);
  return (
    <ul className="plain-list">
      {orders.map((order) => {
        const ready = order.made - order.failed.length;
        return (
          <li key={order.id}>
            <p>
              <strong>{files(order.total)}</strong> {READER_WORDS[order.reader]}
              {order.documents ? ", with all documents" : ", the form alone"}{" "}
              <span className="quiet">· asked for on {formatMoment("en", order.askedAt, zone)}</span>
            </p>
            {order.made < order.total ? (
              <div role="status">
                <Progress percent={Math.round((order.made / order.total) * 100)} showInfo={false} />
                <span className="quiet">
                  {order.made} of {order.total} made. You can leave this page.
                </span>
              </div>
            ) : ready > 0 ? (
              <p>
                <a href={`/api/copies/${order.id}`} download>
                  Download {ready === 1 ? "the copy" : `all ${ready}`} ({order.total === 1 ? "PDF" : "ZIP"},{" "}
                  {formatBytes("en", order.size)})
                </a>
              </p>
            ) : null}
            {order.failed.length > 0 ? (
              <p className="wrong">
                No copy could be made of {order.failed.join(", ")}. Open the file and try its own PDF.
              </p>
            ) : null}
          </li>
        );
      })}
    </ul>
  );
}
