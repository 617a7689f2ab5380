"use client";

import { BarController, BarElement, CategoryScale, Chart, LinearScale, type Plugin } from "chart.js";
import { useEffect, useRef } from "react";
import type { FigureLine } from "../../views/figures/figures";

Chart.register(BarController, BarElement, CategoryScale, LinearScale);

const LINE_PX = 26;
const EDGE_PX = 28;
const FONT_PX = 13;
const GAP_PX = 6;
const MOST_BARS = 12;
const LONGEST_LABEL = 32;

const short = (label: string): string =>
  label.length > LONGEST_LABEL ? `${label.slice(0, LONGEST_LABEL - 1)}…` : label;

/** The first lines, and all others as one. */
function barsOf(lines: readonly FigureLine[]): readonly FigureLine[] {
  if (lines.length <= MOST_BARS) return lines;
  const others = lines.slice(MOST_BARS - 1);
  const sum = others.reduce((all, l) => all + (l.count ?? 0), 0);
  const count = others.some((l) => l.count === null) ? null : sum;
  return [...lines.slice(0, MOST_BARS - 1), { label: `${others.length} others`, count, value: null }];
}

/** Writes the figure at the end of its bar, or that it is withheld. */
const figuresAtEnds = (
  bars: readonly FigureLine[],
  colours: { ink: string; quiet: string },
  font: string,
): Plugin<"bar"> => ({
  id: "figures-at-ends",
  afterDatasetsDraw: (chart) => {
    const { ctx, chartArea } = chart;
    ctx.font = font;
    ctx.textBaseline = "middle";
    bars.forEach(({ count }, i) => {
      const bar = chart.getDatasetMeta(0).data[i];
      if (!bar) return;
      ctx.fillStyle = count === null ? colours.quiet : colours.ink;
      ctx.fillText(count === null ? "withheld" : String(count), Math.max(bar.x, chartArea.left) + GAP_PX, bar.y);
    });
  },
});

/** The lines of one figure as bars; what is withheld has none. */
export function FigureBars({ title, lines }: { title: string; lines: readonly FigureLine[] }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const bars = barsOf(lines);
  useEffect(() => {
    if (!canvas.current) return;
    const style = getComputedStyle(canvas.current);
    const colour = (name: string) => style.getPropertyValue(name).trim();
    const colours = { ink: colour("--ink"), quiet: colour("--quiet") };
    const font = { family: style.fontFamily, size: FONT_PX };
    const shown = barsOf(lines);
    const chart = new Chart(canvas.current, {
      type: "bar",
      data: {
        labels: shown.map((l) => short(l.label)),
        datasets: [{ data: shown.map((l) => l.count ?? 0), backgroundColor: colour("--spruce"), barThickness: 14 }],
      },
      options: {
        indexAxis: "y",
        animation: false,
        responsive: false,
        events: [],
        layout: { padding: { right: 60 } },
        scales: {
          x: { display: false, beginAtZero: true },
          y: {
            ticks: { color: colours.ink, font, autoSkip: false },
            grid: { display: false },
            border: { color: colour("--line") },
          },
        },
      },
      plugins: [figuresAtEnds(shown, colours, `${FONT_PX}px ${style.fontFamily}`)],
    });
    return () => chart.destroy();
  }, [lines]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={`${title}, as bars; the table below says the same`}
      className="figure-bars"
      width={540}
      height={bars.length * LINE_PX + EDGE_PX}
    />
  );
}
