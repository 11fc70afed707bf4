/* Stands in for parts of the router that it names at once and this application, with one screen at a time, never shows. */
const nothing = () => null;
exports.createNativeStackNavigator = () => ({ Navigator: nothing, Screen: nothing, Group: nothing });
exports.initScreensFeatureFlags = nothing;
exports.Toast = nothing;
exports.ToastWrapper = nothing;
