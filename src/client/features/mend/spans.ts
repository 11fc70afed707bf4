export const sayHours = (minutes: number): string =>
  minutes < 90 ? `${Math.round(minutes)} min` : `${Math.round(minutes / 6) / 10} h`;
export const sayDays = (hours: number): string =>
  hours < 36 ? `${Math.round(hours)} h` : `${Math.round(hours / 24)} days`;
