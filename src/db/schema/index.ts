export * from "./application";
export * from "./auth";
export * from "./catalogue";
export * from "./content";
export * from "./evidence";
export * from "./money";
export * from "./people";
export * from "./record";
