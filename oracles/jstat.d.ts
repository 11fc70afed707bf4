declare module 'jstat' {
  const jStat: {
    beta: {
      cdf: (x: number, a: number, b: number) => number;
      inv: (share: number, a: number, b: number) => number;
    };
    hypgeom: { pdf: (k: number, population: number, marked: number, drawn: number) => number };
  };
  export default jStat;
}
