import { z } from 'zod';

/** What a device says to come in: what it is called, and the code it was shown or the passphrase of the shop. */
export const enterSchema = z.object({
  device: z.string().trim().min(1).max(60),
  code: z.string().trim().max(40).optional(),
  passphrase: z.string().max(400).optional(),
});
export type Enter = z.infer<typeof enterSchema>;

export const openingSchema = z.object({ open: z.boolean() });
export const passphraseSchema = z.object({ passphrase: z.string().max(400).nullable() });

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
  /** SHA-256 of the authority's certificate. */
  fingerprint: string;
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
