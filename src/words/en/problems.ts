import type { Problem } from '@/core/shared';

const list = (value: unknown): string => (Array.isArray(value) ? value.join(', ') : String(value ?? ''));

/** What is wrong, where, and the cure, in one or two sentences. */
export function explainProblem({ code, path, params }: Problem): string {
  const where = path ? `${path}: ` : '';
  return where + TEXT[code](params);
}

const PATTERNS: Readonly<Record<string, string>> = {
  moment: 'a date and time such as 2026-05-02T10:00:00Z',
  date: 'a date such as 2026-06-20',
  time: 'a time such as 19:00',
  colour: 'a colour such as #F3EFE6',
  id: 'letters, digits, dots and dashes, 64 at most',
};

const TEXT: Record<Problem['code'], (params: Problem['params']) => string> = {
  not_json: ({ detail }) => `This is not JSON. Check commas, quotes and brackets (${String(detail ?? '')}).`,
  not_readable: ({ file }) => `${String(file ?? 'The file')} cannot be read. Check its name and that you may open it.`,
  wrong_format: ({ found, allowed }) => `The format is “${String(found)}”; this version reads ${list(allowed)}.`,
  unknown_code: ({ allowed }) => `Not a known value. Use one of: ${list(allowed)}.`,
  wrong_type: ({ expected }) => `Wrong kind of value; ${String(expected ?? 'another type')} is wanted.`,
  missing_field: ({ expected, allowed }) =>
    allowed ? `Missing. Use one of: ${list(allowed)}.` : `Missing; ${String(expected)} is wanted.`,
  out_of_range: ({ min, max, above, below }) => {
    if (min !== undefined && max !== undefined) return `Out of range: from ${String(min)} to ${String(max)}.`;
    if (above !== undefined) return `Too small: more than ${String(above)}.`;
    if (below !== undefined) return `Too large: less than ${String(below)}.`;
    return min !== undefined ? `Too small: at least ${String(min)}.` : `Too large: at most ${String(max)}.`;
  },
  too_long: ({ max }) => `Too long: at most ${String(max)} characters.`,
  empty_text: () => 'Empty. Write at least one character.',
  bad_pattern: ({ pattern }) => `Not in the right form: ${PATTERNS[String(pattern)] ?? String(pattern)}.`,
  duplicate_id: ({ id }) => `“${String(id)}” is used twice. Give each its own id.`,
  unknown_zone: ({ zone, allowed }) => `There is no zone “${String(zone)}”. Zones here: ${list(allowed) || 'none'}.`,
  unknown_tin: ({ tin, allowed }) =>
    `The shelf has no tin “${String(tin ?? '')}”. Put it on the shelf first, or name one that is there: ${list(allowed) || 'none yet'}.`,
  unknown_part: ({ part, allowed }) =>
    `The zone has no part “${String(part ?? '')}”. Its parts: ${list(allowed) || 'none that can be told apart'}.`,
  unknown_clue: ({ clue, allowed }) => `“${String(clue ?? '')}” says nothing of this. Use one of: ${list(allowed)}.`,
  too_fine: ({ currency, decimals }) =>
    `${String(currency ?? 'This currency')} has ${String(decimals ?? 'fewer')} decimals. Round the amount to that.`,
  before: ({ before }) => `Lies before ${String(before ?? 'what comes first')}. Put one of the two dates right.`,
  wrong_reading: ({ kind, allowed, type, min, max }) =>
    `Does not fit a ${String(kind)} test. Use: ${allowed ? list(allowed) : `a ${type === 'integer' ? 'whole number' : 'number'} from ${String(min)} to ${String(max)}`}.`,
  bands_overlap: ({ from }) => `Lies on the band before it. Start at ${String(from)} mm or beyond.`,
  not_after: () => 'Ends before it starts. Give a later time, 24:00 at most.',
  unknown_time_zone: ({ zone }) => `“${String(zone)}” is not a time zone. Use a name such as Europe/Lisbon.`,
  piece_not_found: () => 'There is no such piece. It may have been removed; go back to the list.',
  zone_not_found: () => 'There is no such zone on this piece. Reload the piece.',
  fact_unknown: () => 'There is nothing of this name that can be set. Look at the format, or reload the page.',
  fact_gone: () => 'This was taken away in the meantime, so it could not be changed. Add it again if it is wanted.',
  tin_not_found: () => 'This tin was taken off the shelf in the meantime. Put it back if it is wanted.',
  id_taken: () => 'This id belongs to another piece already. Save it under a new id.',
  photo_not_found: () => 'This picture is not on this machine.',
  not_a_picture: ({ allowed }) => `This is not a picture that can be read. Use one of: ${list(allowed)}.`,
  picture_too_large: ({ max }) =>
    `This picture has too many pixels: at most ${String(max)} million. Take a smaller one.`,
  picture_too_narrow: ({ max }) =>
    `This picture is a narrow strip: one side may be ${String(max)} times the other at most. Crop it and send that.`,
  body_too_large: ({ max }) => `Too much in one go: at most ${String(max)}.`,
  foreign_origin: () =>
    'This came by another name or from another site and was refused. Open Bricolage at its own address.',
  not_entered: () => 'This device is not let in, or its pass has ended. Pair it again at the computer of the workshop.',
  other_shop: () =>
    'This is for another shop than the one that answers here, and was not taken. Open that shop, and it goes there.',
  wrong_pass: () => 'That is not the code or passphrase of this workshop. A code serves once, for ten minutes.',
  too_many_tries: ({ minutes }) =>
    `Too many wrong tries. Wait ${String(minutes ?? 'a few')} minutes, or have the computer of the workshop show a new code then.`,
  weak_passphrase: ({ min }) =>
    `Too easily guessed: at least ${String(min ?? 'a dozen')} letters, and not the same few over and over. Four or five words do well.`,
  local_only: () => 'This can be changed only at the computer that Bricolage runs on.',
  no_network: () =>
    'This computer has no address in a network of the house. Join the Wi-Fi or plug in the cable, and open again.',
  door_not_opened: ({ detail }) =>
    `Phones cannot be let in just now (${String(detail ?? '')}). Work here goes on. Make the folder of the records writable, see that the disk has room, and let phones in again.`,
  visit_not_opened: ({ detail }) =>
    `The invented workshop cannot be opened just now (${String(detail ?? '')}). Your own shop is as it was.`,
  not_a_shop: ({ detail }) =>
    `This is not a whole shop in one zip, or it is damaged (${String(detail ?? '')}). Nothing was taken from it. Export it anew, or use another copy.`,
  not_as_listed: () =>
    'This file is not what the list of the zip says: it was changed or damaged on the way. Nothing was taken from the zip.',
  file_exists: ({ file }) =>
    `${String(file ?? 'The file')} is there already and was not touched. Name a new one, or move it away first.`,
  backup_not_found: () => 'There is no such copy any more. Look at the list again.',
  arrival_not_found: () => 'What was to be brought in is no longer here. Pick the file again.',
  no_such_endpoint: () => 'There is nothing at this address.',
  too_many: ({ max }) => `There is room for ${String(max ?? 'no more')}. Take some away first, or start another piece.`,
  too_deep: ({ max }) =>
    `Nested more than ${String(max ?? 'a hundred')} levels deep. Lay the records flat, as the format has them.`,
  in_future: ({ found }) =>
    `${String(found ?? 'This moment')} lies more than a day ahead. Check the date and the clock of the device, and send it again.`,
  before_bought: ({ found, bought }) =>
    `${String(found ?? 'This moment')} lies before the piece was bought (${String(bought ?? '')}). Check the date, or the day it was bought on.`,
  contradicts_itself: ({ field }) =>
    `What is logged contradicts itself: ${String(field ?? 'a field')} cannot be so beside the rest. Check it and send it again.`,
  database_unwell: ({ detail }) =>
    `The database does not answer as it should (${String(detail ?? '')}). Stop the server, keep a copy of the file, and start again.`,
  picture_overladen: () =>
    'This file carries more than a photograph does, or takes too long to open. Save it anew as JPEG and send that.',
  file_overladen: () =>
    'This file takes more time or memory to read than a shop’s own does. Nothing was taken from it. Export it anew, or use another copy.',
  database_damaged: ({ file }) =>
    `The file ${fileName(file)} is damaged. It was not touched. Put a copy in its place, or keep it for repair and start with another (BRICOLAGE_DB).`,
  database_newer: ({ file, found, allowed }) =>
    `The file ${fileName(file)} was written by a newer Bricolage (version ${String(found ?? '?')}; this one knows ${list(allowed)}). It was not touched. Start the newer program.`,
  database_foreign: ({ file }) =>
    `The file ${fileName(file)} is a database of another program. It was not touched. Name another file (BRICOLAGE_DB).`,
  database_empty: ({ file }) =>
    `The file ${fileName(file)} holds no shop. It was not touched. Name the file with your records, or a whole copy of them.`,
  records_missing: ({ file, folder }) =>
    `The records ${fileName(file)} are gone, but the folder with their pictures and copies is there. Nothing was changed. Put the file back, take one of the copies in ${String(folder ?? 'that folder')}, or move the folder away to begin a new shop.`,
  folder_of_other_shop: ({ file, folder }) =>
    `The folder ${String(folder ?? 'beside the file')} belongs to another shop than the file ${fileName(file)}. Neither was changed. Put the file that belongs there back, or move the folder away.`,
  copy_of_other_shop: () =>
    'This copy is of another shop. The shop that is open was not changed. Take a copy of this one.',
  database_in_use: ({ file }) =>
    `The file ${fileName(file)} is in use by another program. End the other server, or whatever copies it, and start again.`,
  database_read_only: ({ file }) =>
    `The file ${fileName(file)} cannot be written. Make it and its folder writable for you, and start again; what was stored is whole.`,
  database_not_opened: ({ file }) =>
    `The file ${fileName(file)} cannot be opened or made. Check its name, its folder and that you may write there.`,
  disk_full: ({ file }) =>
    `The disk that holds ${fileName(file)} is full. Make room and try again; what was stored is whole.`,
  internal: () => 'Something broke on our side. Nothing was half-saved; try again.',
};

const fileName = (file: unknown): string => String(file ?? 'with your records');
