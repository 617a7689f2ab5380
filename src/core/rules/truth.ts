/** Three values, ordered so that "and" is the smaller and "or" the larger: not met, open, met (Kleene's strong logic). */
export type Truth = "not met" | "open" | "met";
