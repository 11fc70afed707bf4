declare module 'culori' {
  export const parse: (text: string) => object;
  export const lab65: (colour: object) => { l: number; a: number; b: number };
  export const differenceCiede2000: () => (first: string, second: string) => number;
}
