declare module 'jstat' {
  const jStat: {
    beta: {
      cdf: (x: number, a: number, b: number) => number;
      inv: (share: number, a: number, b: number) => number;
    };
  };
  export default jStat;
}
