export * from "./application";
export * from "./auth";
export * from "./catalogue";
export * from "./evidence";
export * from "./money";
export * from "./people";
export * from "./record";
