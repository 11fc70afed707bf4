export { forecastAir, judgeAir, readAirNow, type AirVerdict } from './air';
export * from './schema';
