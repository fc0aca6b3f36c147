import type { NextConfig } from 'next';

const securityHeaders = [
  { key: 'X-Content-Type-Options', value: 'nosniff' },
  { key: 'X-Frame-Options', value: 'DENY' },
  { key: 'Referrer-Policy', value: 'same-origin' },
  { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
  // Photos are taken by the browser's own file chooser; nothing else of the device is wanted.
  {
    key: 'Permissions-Policy',
    value: 'camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=(), display-capture=()',
  },
];

const config: NextConfig = {
  // bin/demo and bin/test build into folders of their own, so that a test run leaves a running demo alone.
  distDir: process.env.HEFETEIG_BUILD ?? '.next',
  reactStrictMode: true,
  poweredByHeader: false,
  // Answers are packed by whoever sends them: scripts/web.mjs.
  compress: false,
  // bin/test checks the types of everything, tests too; a build need not do it once more.
  typescript: { ignoreBuildErrors: true },
  // The native password hash and the database driver load files at run time; a bundler would break them.
  serverExternalPackages: ['@node-rs/argon2', 'mysql2', 'pino'],
  headers: () => Promise.resolve([{ source: '/:path*', headers: securityHeaders }]),
};

export default config;
