import { WORK_RATES, type Carrier } from '../knowledge';

/** How a product is put on, as far as getting it out and putting it away go. */
interface Applied {
  carrier: Carrier;
  sprayCan: boolean;
  gun: boolean;
}

/** Minutes of getting a product out and putting it away, once a sitting, whatever is coated with it. */
export function measureSitting({ carrier, sprayCan, gun }: Applied): number {
  const { get_out, clean_gun, put_away_aerosol, put_away_water, put_away_solvent } = WORK_RATES;
  if (sprayCan) return get_out.once + put_away_aerosol.once;
  if (gun) return get_out.once + clean_gun.once;
  return get_out.once + (carrier === 'water' || carrier === 'none' ? put_away_water : put_away_solvent).once;
}
