import { z } from 'zod';

/** What a device says to come in: what it is called, and the code it was shown or the passphrase of the shop. */
export const enterSchema = z.object({
  device: z.string().trim().min(1).max(60),
  /** Nine digits that are typed, or what the picture holds. */
  code: z.string().trim().max(64).optional(),
  passphrase: z.string().max(400).optional(),
});
export type Enter = z.infer<typeof enterSchema>;

export const openingSchema = z.object({ open: z.boolean() });
export const passphraseSchema = z.object({
  passphrase: z.string().max(400).nullable(),
  /** Every device that is in has to come in anew. */
  end_passes: z.boolean().optional(),
});

export type PassphraseChange = z.infer<typeof passphraseSchema>;

/** What a picture of the desk holds in place of the digits: too long to be guessed, so tries of it are not counted. */
export const isPictureCode = (code: string): boolean => /^[\w-]{43}$/.test(code);

/** How a browser stands to the shop it asks. */
export interface AccessState {
  /** It runs on the computer of the workshop, which needs no pass. */
  local: boolean;
  entered: boolean;
  /** A passphrase is set: a device can come in by it, without a code. */
  passphrase: boolean;
  /** The shop's id, told to those who are in. */
  shop?: string;
  device?: string;
}

/** The door for phones, as the computer of the workshop sees it. */
export interface OpeningState {
  open: boolean;
  /** Where phones find the shop, the address to read out first. */
  urls: string[];
  /** SHA-256 of the authority's certificate; null where it can neither be read nor made. */
  fingerprint: string | null;
  /** When it had to be made anew, as long as a device that came in before has not come in again. */
  remade_at?: string;
  passphrase: boolean;
  devices: { id: string; device: string; made_at: string; seen_at: string }[];
}

/** A code for one device, with the address it is for and the picture of both: rows of `1` (dark) and `0`. */
export interface PairingInvitation {
  code: string;
  until: string;
  url: string;
  address: string;
  qr: string[];
}
