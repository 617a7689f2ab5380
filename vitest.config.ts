import { defineConfig } from "vitest/config";

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: "unit",
          include: ["src/{core,formats,text,app,ui}/**/*.test.ts"],
          testTimeout: 60_000,
          isolate: false,
        },
      },
      {
        test: {
          name: "data",
          include: ["src/{db,acts,views,jobs,auth,demo,outside}/**/*.test.ts", "tests/data/**/*.test.ts"],
          globalSetup: ["tests/support/database-setup.ts"],
          testTimeout: 60_000,
          hookTimeout: 600_000,
          maxWorkers: 2,
          isolate: false,
        },
      },
      {
        test: {
          name: "browser",
          include: ["tests/browser/**/*.test.ts"],
          globalSetup: ["tests/support/browser-setup.ts"],
          maxWorkers: 2,
          testTimeout: 480_000,
          hookTimeout: 240_000,
          expect: { poll: { timeout: 60_000 } },
        },
      },
    ],
  },
});
