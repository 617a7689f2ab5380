import type { NextConfig } from "next";

const config: NextConfig = {
  poweredByHeader: false,
  // The tests build beside a running demo and must not pull its files from under it.
  distDir: process.env.UNVEX_DIST ?? ".next",
  reactStrictMode: true,
  // Lists of results are read by an action before they are taken in: as large as a table may be, with room for its signs.
  experimental: { serverActions: { bodySizeLimit: "5mb" } },
  // These bring native parts or workers of their own and are loaded from node_modules.
  serverExternalPackages: [
    "@node-rs/argon2",
    "sharp",
    "pg",
    "pg-boss",
    "@cantoo/pdf-lib",
    "@react-pdf/renderer",
    "pino",
  ],
  typescript: { ignoreBuildErrors: true }, // types are checked by a step of their own, which also covers the tests
  devIndicators: false,
  // Pages say so themselves (src/proxy.ts), which the addresses of documents and data do not pass.
  headers: async () => [
    {
      // All but forms to download, whose address is their content.
      source: "/api/((?!templates/).*)",
      headers: [
        { key: "X-Content-Type-Options", value: "nosniff" },
        { key: "Cache-Control", value: "private, no-store" },
      ],
    },
  ],
};

export default config;
