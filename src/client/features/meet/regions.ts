/** Regions whose lead rule differs here; any other counts the later date as possible too. */
export const REGIONS = [
  { code: 'US', label: 'United States' },
  { code: 'elsewhere', label: 'Elsewhere' },
] as const;
