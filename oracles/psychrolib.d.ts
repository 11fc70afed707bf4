declare module 'psychrolib' {
  const psychrolib: {
    SI: number;
    SetUnitSystem: (unitSystem: number) => void;
    GetSatVapPres: (dryBulbC: number) => number;
    GetTDewPointFromRelHum: (dryBulbC: number, relativeHumidity: number) => number;
  };
  export default psychrolib;
}
