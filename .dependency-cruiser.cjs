/** Who may import whom: the table of docs/architecture.md, held by the test command. */
const FOLDERS = ["core", "text", "db", "formats", "auth", "outside", "acts", "views", "jobs", "ui", "app", "demo"];
const MAY = {
  core: [],
  text: ["core"],
  db: ["core"],
  formats: ["core", "text"],
  auth: ["core", "text", "db", "acts"],
  outside: ["core", "formats"],
  acts: ["core", "db", "formats", "text"],
  views: ["core", "db", "formats", "text"],
  jobs: ["acts", "views", "outside", "formats", "text", "core", "db/queue", "db/defects"],
  ui: ["core", "text", "views"],
  app: ["acts", "views", "auth", "ui", "text", "core", "outside", "formats", "db"],
  demo: FOLDERS.filter((f) => f !== "app" && f !== "ui"),
};
const TESTS = "\\.test\\.ts$";

const layers = FOLDERS.map((folder) => ({
  name: `${folder}-may-import`,
  severity: "error",
  from: { path: `^src/${folder}/`, pathNot: TESTS },
  to: { path: "^src/[^/]+/", pathNot: [folder, ...MAY[folder]].map((f) => `^src/${f}(/|\\.)`) },
}));

module.exports = {
  forbidden: [
    ...layers,
    { name: "no-cycles", severity: "error", from: {}, to: { circular: true } },
    {
      name: "core-is-pure",
      severity: "error",
      comment: "core knows no database, no framework and no clock of its own",
      from: { path: "^src/core/", pathNot: TESTS },
      to: { path: "node_modules/(react|next|pg|drizzle-orm|antd)/" },
    },
    {
      name: "client-leaves-reach-no-server",
      severity: "error",
      comment: "a client file reaches the server only through actions that are given to it",
      from: { path: "\\.client\\.tsx?$" },
      to: { path: "^src/(db|acts|views|jobs|outside|auth|formats)/", dependencyTypesNot: ["type-only"] },
    },
    {
      name: "server-only-stands-in-app",
      severity: "error",
      from: { pathNot: "^src/app/" },
      to: { path: "node_modules/server-only" },
    },
    {
      name: "root-files-are-for-the-root",
      severity: "error",
      from: { path: "^src/(core|text|db|formats|auth|outside|acts|views|jobs|ui)/", pathNot: TESTS },
      to: { path: "^src/[^/]+\\.ts$" },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: "^(\\.next|node_modules)" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
    },
  },
};
