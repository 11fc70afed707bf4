export const TIMES_WORDS = {
  today: (clock: string): string => `today ${clock}`,
  tomorrow: (clock: string): string => `tomorrow ${clock}`,
  yesterday: (clock: string): string => `yesterday ${clock}`,
  tonight: 'Tonight',
  todayAlone: 'Today',
  tomorrowAlone: 'Tomorrow',
  from: (day: string, clock: string): string => `${day} from ${clock}`,
  min: (left: number): string => `${left} min`,
  h: (left: number): string => `${left} h`,
  hMin: (hours: number, minutes: number): string => `${hours} h ${minutes} min`,
  days: (left: number): string => `${left} days`,
};
