const esbuild = ['<rootDir>/scripts/jest-esbuild.cjs', {}];
const alias = { '^@/(.*)$': '<rootDir>/src/$1' };
// Packages that ship modern syntax only: those with Flow's types, which Babel alone takes away, …
const typed = ['(jest-)?react-native', '@react-native(-community)?', 'react-native-(?!svg).*'].join('|');
// … and the others.
const modern = [
  'react-native-svg',
  'expo(nent)?',
  '@expo(nent)?/.*',
  'expo-.*',
  'lucide-react-native',
  'nanoid',
  '@tamagui/.*',
  'immer',
  'dinero.js',
  '@reduxjs/toolkit',
  'react-redux',
  'redux',
  'redux-thunk',
  'reselect',
].join('|');

/*
 * Tests run in a context of their own, where every look at a global is slow. These are handed to each module by name (not
 * `Set`: a package has a class of that name).
 */
const sandboxInjectedGlobals = [
  'Array',
  'Float32Array',
  'Float64Array',
  'Infinity',
  'Int32Array',
  'JSON',
  'Map',
  'Math',
  'Number',
  'Object',
  'String',
  'Uint8Array',
  'Uint8ClampedArray',
  'Uint32Array',
];

/** @type {import('jest').Config} */
module.exports = {
  projects: [
    {
      displayName: 'node',
      rootDir: __dirname,
      testEnvironment: 'node',
      sandboxInjectedGlobals,
      testMatch: [
        '<rootDir>/src/{core,contract,server,cli,client,words}/**/*.test.ts',
        '<rootDir>/tests/{casebook,http,properties,walls}/**/*.test.ts',
      ],
      moduleNameMapper: alias,
      // These ship modules only.
      transform: {
        '(\\.tsx?|/node_modules/(ml-.+|is-any-array|dinero\\.js)/.+\\.js)$': esbuild,
      },
      transformIgnorePatterns: ['/node_modules/(?!ml-|is-any-array|dinero\\.js)'],
    },
    {
      displayName: 'client',
      preset: 'jest-expo',
      rootDir: __dirname,
      testMatch: ['<rootDir>/src/client/**/*.test.tsx'],
      moduleNameMapper: alias,
      // Our own code needs none of the presets, which take several times as long. Tests do: they lift mocks above imports.
      transform: {
        [`/node_modules/(${modern})/.+\\.[cm]?[jt]sx?$`]: esbuild,
        '/src/((core|contract|words)/.+\\.ts|client/(?!.+\\.test\\.).+\\.tsx?)$': esbuild,
      },
      moduleFileExtensions: ['ts', 'tsx', 'js', 'jsx', 'mjs', 'json'],
      transformIgnorePatterns: [
        `/node_modules/(?!(${typed}|${modern})(/|$))`,
        '/node_modules/react-native-reanimated/plugin/',
      ],
    },
  ],
};
