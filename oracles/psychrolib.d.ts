declare module 'psychrolib' {
  const psychrolib: {
    SI: number;
    SetUnitSystem: (unitSystem: number) => void;
    GetTDewPointFromRelHum: (dryBulbC: number, relativeHumidity: number) => number;
  };
  export default psychrolib;
}
