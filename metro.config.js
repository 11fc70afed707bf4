const { getDefaultConfig } = require('expo/metro-config');
const path = require('node:path');
const { hashExports } = require('./scripts/metro/direct-doors');

/*
 * The bundler does not shake trees: a package's index brings all of it. What no screen of ours uses is left out here, by
 * where it is named and how; the size of the first screen is in `npm run bench`.
 */
const folder = (name) => path.join(__dirname, 'node_modules', name) + path.sep;
const UNUSED = [
  // Problems are told in our own words.
  // JSON Schema is written by `npm run formats`; no screen asks a schema for its limits, and none is compiled ahead.
  {
    in: `${folder('zod')}v4/classic`,
    names: [
      '../locales/index.js',
      './from-json-schema.js',
      '../core/json-schema-processors.js',
      '../core/to-json-schema.js',
    ],
  },
  { in: `${folder('zod')}v4/core`, names: ['../locales/index.js', './compile.js', './to-json-schema.js'] },
  // One screen at a time through `Slot`: no tabs, no stack, no list of routes.
  {
    in: `${folder('expo-router')}build`,
    names: [
      './layouts/Tabs',
      './layouts/experimental-stack',
      './standard-navigation',
      './views/ErrorBoundary',
      './views/Sitemap',
      './stack',
      './color',
    ],
  },
  { in: `${folder('expo-router')}build/layouts`, names: ['./stack-utils', '../native-tabs/NativeTabTrigger'] },
  { in: `${folder('expo-router')}build/link`, names: ['./LinkWithPreview', './preview/HrefPreview'] },
  // Whoever wants one of these names it by itself; the index need not bring it.
  {
    in: `${folder('react-native-web')}dist`,
    names: [
      'Animated',
      'Button',
      'CheckBox',
      'Clipboard',
      'FlatList',
      'ImageBackground',
      'KeyboardAvoidingView',
      'LayoutAnimation',
      'Modal',
      'PanResponder',
      'Picker',
      'ProgressBar',
      'RefreshControl',
      'SectionList',
      'Share',
      'Switch',
      'Touchable',
      'TouchableHighlight',
      'TouchableNativeFeedback',
      'TouchableOpacity',
      'Vibration',
      'VirtualizedList',
    ].map((name) => `./exports/${name}`),
  },
];
const NOT_SHOWN = path.join(__dirname, 'scripts/metro/not-shown.js');
const STAND_INS = [
  { in: `${folder('expo-router')}build/layouts`, name: '../fork/native-stack/createNativeStackNavigator' },
  { in: `${folder('expo-router')}build`, name: './screensFeatureFlags' },
  { in: `${folder('expo-router')}build/views`, name: './Toast' },
];

// These come in two forms, and what is exported on is asked for in the other one: each comes once.
const ONE_FORM = ['@reduxjs/toolkit', 'immer', 'redux', 'redux-thunk', 'reselect'];

const config = getDefaultConfig(__dirname);
// The address of the running script is known only while it runs: what remembers it is asked at once.
const blockList = Object.fromEntries(
  ['src/winter/ImportMetaRegistry.ts', 'src/winter/index.ts', 'src/winter/runtime.ts', 'src/Expo.ts'].map((file) => [
    `${folder('expo')}${file}`,
    true,
  ]),
);
// A module runs when it is first asked for: the first screen does not wait for what it does not show.
config.transformer.getTransformOptions = async () => ({ transform: { inlineRequires: { blockList } } });
// The minifier shortens these names as all others; renaming them first is a sixth of the time of the build.
config.transformer.unstable_disableNormalizePseudoGlobals = true;
config.transformer.minifierPath = require.resolve('./scripts/metro/minify');
// Where a name lies decides what an importer of it becomes (`direct-doors`): kept results hold while that stays the same.
config.cacheVersion = hashExports(path.join(__dirname, 'src'));
config.resolver.resolveRequest = (context, name, platform) => {
  // By folder, for that is how the bundler remembers what it has resolved.
  const origin = path.dirname(context.originModulePath);
  if (platform === 'web') {
    if (UNUSED.some((own) => own.in === origin && own.names.includes(name))) return { type: 'empty' };
    if (STAND_INS.some((own) => own.in === origin && own.name === name))
      return { type: 'sourceFile', filePath: NOT_SHOWN };
    if (ONE_FORM.includes(name)) return context.resolveRequest({ ...context, isESMImport: true }, name, platform);
  }
  return context.resolveRequest(context, name, platform);
};

module.exports = config;
