/** Statements of the demo's people: each in words of their own, since statements are held against each other. */
const LISTS = {
  thing: [
    "the tides",
    "eelgrass",
    "old charts",
    "the herring",
    "salt marshes",
    "harbour walls",
    "sandbanks",
    "mussel beds",
    "ship timbers",
    "storm surges",
    "lighthouse logs",
    "the fog",
    "river mouths",
    "ferry routes",
    "seabirds",
    "drowned villages",
  ],
  person: [
    "my grandmother",
    "an uncle",
    "our neighbour",
    "my first teacher",
    "the harbour master",
    "my elder sister",
    "a retired pilot",
    "my cousin",
    "the school librarian",
    "my father",
    "a net maker",
    "my mother",
    "our postman",
    "a lock keeper",
    "my aunt",
    "the ferryman",
  ],
  place: [
    "a boatyard",
    "the town museum",
    "a fish market",
    "a small laboratory",
    "the tide office",
    "a print shop",
    "the water works",
    "a nursery for oysters",
    "the customs house",
    "an archive",
    "a chandlery",
    "the weather station",
    "a pumping house",
    "a radio club",
    "the dyke board",
    "a rope walk",
  ],
  skill: [
    "levelling",
    "sorting samples",
    "reading old hands",
    "keeping a log",
    "welding",
    "drawing maps",
    "counting larvae",
    "mending nets",
    "writing code",
    "asking questions",
    "taking cores",
    "photographing",
    "rowing",
    "cataloguing",
    "interviewing",
    "splicing",
  ],
  time: [
    "one wet spring",
    "my second year",
    "the long winter",
    "two summers",
    "the year of the flood",
    "my last school term",
    "many Sundays",
    "a whole autumn",
    "the harvest break",
    "seven weeks",
    "each half-term",
    "a season",
    "the dark months",
    "my exchange",
    "last August",
    "four mornings a week",
  ],
  wish: [
    "a river authority",
    "a maritime museum",
    "a coastal school",
    "the pilot service",
    "a cooperative at home",
    "a survey ship",
    "the heritage office",
    "a research station",
    "a design bureau",
    "the harbour board",
    "an aid organisation",
    "a publisher of charts",
    "a conservation trust",
    "the met office",
    "a shipyard",
    "a town council",
  ],
} as const;

type List = keyof typeof LISTS;

/** No sentence has more than eight words in a row that everybody shares. */
const SENTENCES = [
  "In {town} everybody talks of {thing}, and {person} more than most.",
  "I began with {skill} because {person} had nobody else to show it to.",
  "During {time} I helped at {place}, mostly with {skill}.",
  "What I know about {thing} comes from {place} rather than from books.",
  "Nobody at {place} could tell me why {thing} had changed since {time}.",
  "So I spent {time} on {skill}, badly at first.",
  "With {person} I argued about {thing} over many suppers.",
  "My degree gave me {skill}; {place} gave me patience.",
  "I failed once, in {time}, when {thing} did not behave as planned.",
  "After that {person} lent me notes on {thing}, full of doubts.",
  "I would rather measure {thing} than praise them, and {skill} suits me.",
  "On this programme I look for {skill} and for people who know {thing}.",
  "Your field weeks near {place} are what drew me, more than {skill}.",
  "Later I see myself at {wish}, where {thing} are a daily matter.",
  "If {wish} will not have me, {place} in {town} surely will.",
  "I bring {skill}, a stubborn memory of {thing}, and good boots.",
  "During {time} I learned how {place} pays its bills, which sobered me.",
  "For {person} the sea was {thing}; for me it is {skill} as well.",
  "I still write to {person} about {thing} whenever {place} closes early.",
  "My weak side is {skill}, so {time} went into nothing else.",
  "A talk at {place} on {thing} made me change my plans within {time}.",
  "There I met {person}, who had worked for {wish} and missed it.",
  "Since {time} my notebook holds {thing} on every second page.",
  "I have taught {skill} to beginners at {place}, in two languages.",
  "The best day was with {person} at {place}, waiting for {thing}.",
  "I want to understand {thing} well enough for {wish} to rely on it.",
  "Without {person} I would have stayed with {skill} and never asked.",
  "Once {place} let me plan {time} alone, and {thing} were on time.",
  "People at {wish} told me to learn {skill} before anything else.",
  "My town, {town}, lives from {thing} and forgets it each spring.",
  "I read everything that {person} had kept about {thing} since {time}.",
  "Give me {time} at sea and I come back with {skill} and a list.",
] as const;

/** A stream of whole numbers below a bound that is the same for the same seed (a linear congruence with the constants of glibc). */
function numbersFrom(seed: string): (below: number) => number {
  let state = [...seed].reduce((sum, sign) => (Math.imul(sum, 31) + (sign.codePointAt(0) ?? 0)) >>> 0, 23);
  return (below) => {
    state = (Math.imul(state, 1_103_515_245) + 12_345) >>> 0;
    return (state >>> 8) % below;
  };
}

const PARAGRAPH = 5;

/** So many sentences of somebody's own about the sea and what they want to learn. */
export function ownWords(name: string, town: string, sentences: number): string {
  const next = numbersFrom(name);
  const left: string[] = [];
  const chosen = Array.from({ length: sentences }, () => {
    if (left.length === 0) left.push(...SENTENCES);
    const [sentence = ""] = left.splice(next(left.length), 1);
    return sentence.replace(/\{(\w+)\}/gu, (_all, slot: string) =>
      slot === "town" ? town : (LISTS[slot as List][next(LISTS[slot as List].length)] ?? ""),
    );
  });
  return chosen.map((s, i) => (i === 0 ? s : i % PARAGRAPH === 0 ? `\n${s}` : ` ${s}`)).join("");
}
