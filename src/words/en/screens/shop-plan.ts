export const TIMES_WORDS = {
  today: (clock: string): string => `today ${clock}`,
  tomorrow: (clock: string): string => `tomorrow ${clock}`,
  yesterday: (clock: string): string => `yesterday ${clock}`,
  min: (left: number): string => `${left} min`,
  h: (left: number): string => `${left} h`,
  hMin: (left: number, left2: number): string => `${left} h ${left2} min`,
  days: (left: number): string => `${left} days`,
};
