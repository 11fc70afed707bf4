/*
 * Reading the program and running it are two tasks of the browser, so that on a slow phone no tap waits for both. What
 * is asked for inside the timer runs when the timer does.
 */
setTimeout(() => {
  // eslint-disable-next-line @typescript-eslint/no-require-imports
  require('expo-router/entry');
});
