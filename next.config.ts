import type { NextConfig } from "next";

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  // These bring native parts or workers of their own and are loaded from node_modules.
  serverExternalPackages: ["@node-rs/argon2", "sharp", "pg", "pg-boss", "@cantoo/pdf-lib", "pino"],
  typescript: { ignoreBuildErrors: true }, // types are checked by a step of their own, which also covers the tests
  devIndicators: false,
};

export default config;
