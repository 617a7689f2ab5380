import type { ComparedWord } from "./compared-words";
import type { Passage } from "./passages";

/** A part of a text: within a passage, which is named by its place in the list, or between passages. */
export interface Piece {
  readonly text: string;
  readonly passage: number | null;
}

interface Span {
  readonly from: number;
  readonly words: number;
  readonly passage: number;
}

function cut(text: string, words: readonly ComparedWord[], spans: readonly Span[]): readonly Piece[] {
  const pieces: Piece[] = [];
  let at = 0;
  for (const { from, words: count, passage } of [...spans].sort((a, b) => a.from - b.from)) {
    const start = Math.max(at, words[from]?.start ?? at);
    const end = words[from + count - 1]?.end ?? start;
    if (end <= start) continue; // it lies within a passage that stands before it
    if (start > at) pieces.push({ text: text.slice(at, start), passage: null });
    pieces.push({ text: text.slice(start, end), passage });
    at = end;
  }
  if (at < text.length) pieces.push({ text: text.slice(at), passage: null });
  return pieces;
}

/** A text in pieces, so that its passages can be marked; put together again they are the text. */
export function piecesOf(text: string, words: readonly ComparedWord[], passages: readonly Passage[]): readonly Piece[] {
  return cut(
    text,
    words,
    passages.map(({ from, words: count }, passage) => ({ from, words: count, passage })),
  );
}

/** The same of the other text, in which passages may stand in another order, or lie over each other. */
export function otherPiecesOf(
  text: string,
  words: readonly ComparedWord[],
  passages: readonly Passage[],
): readonly Piece[] {
  return cut(
    text,
    words,
    passages.map(({ otherFrom, words: count }, passage) => ({ from: otherFrom, words: count, passage })),
  );
}
