export { forecastAir, judgeAir, readAirNow, type AirVerdict } from './air';
export * from './change';
export * from './schema';
