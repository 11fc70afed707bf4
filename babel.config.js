module.exports = function (api) {
  const forWeb = api.caller((caller) => caller?.platform === 'web' && caller?.isDev === false);
  return {
    presets: ['babel-preset-expo'],
    plugins: forWeb ? ['./scripts/metro/direct-doors'] : [],
  };
};
