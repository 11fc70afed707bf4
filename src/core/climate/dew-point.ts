/**
 * Dew point, °C, of air at `temperatureC` (−40…60 °C) and `humidityPct` (1…100 %). Magnus form with the WMO constants
 * 17.62 and 243.12 °C (Sonntag 1990). Example: 20 °C and 50 % give 9.26 °C.
 */
export function computeDewPointC(temperatureC: number, humidityPct: number): number {
  const gamma = Math.log(humidityPct / 100) + (17.62 * temperatureC) / (243.12 + temperatureC);
  return (243.12 * gamma) / (17.62 - gamma);
}
