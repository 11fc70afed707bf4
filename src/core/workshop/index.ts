export { forecastAir, isMeasured, judgeAir, readAirNow, type AirVerdict } from './air';
export * from './change';
export * from './practice-schema';
export * from './schema';
export { startMoney } from './start-money';
