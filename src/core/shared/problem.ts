/** Every expected failure, as data. Text is made by `words/en/problems`, HTTP status by the server. */
export const PROBLEM_CODES = [
  'not_json',
  'not_readable',
  'wrong_format',
  'unknown_code',
  'wrong_type',
  'missing_field',
  'out_of_range',
  'too_long',
  'empty_text',
  'bad_pattern',
  'duplicate_id',
  'unknown_zone',
  'unknown_tin',
  'unknown_part',
  'unknown_clue',
  'too_fine',
  'before',
  'wrong_reading',
  'not_after',
  'bands_overlap',
  'unknown_time_zone',
  'piece_not_found',
  'zone_not_found',
  'fact_unknown',
  'fact_gone',
  'tin_not_found',
  'id_taken',
  'photo_not_found',
  'not_a_picture',
  'picture_too_large',
  'picture_too_narrow',
  'body_too_large',
  'foreign_origin',
  'not_entered',
  'other_shop',
  'wrong_pass',
  'too_many_tries',
  'weak_passphrase',
  'local_only',
  'no_network',
  'door_not_opened',
  'visit_not_opened',
  'not_a_shop',
  'not_as_listed',
  'file_exists',
  'backup_not_found',
  'arrival_not_found',
  'no_such_endpoint',
  'too_many',
  'too_deep',
  'in_future',
  'before_bought',
  'contradicts_itself',
  'picture_overladen',
  'file_overladen',
  'database_unwell',
  'database_damaged',
  'database_newer',
  'database_foreign',
  'database_empty',
  'records_missing',
  'folder_of_other_shop',
  'copy_of_other_shop',
  'database_in_use',
  'database_read_only',
  'database_not_opened',
  'disk_full',
  'internal',
] as const;
export type ProblemCode = (typeof PROBLEM_CODES)[number];

export interface Problem {
  code: ProblemCode;
  /** Where, as `zones[1].observations[0].result`; empty for the whole document. */
  path: string;
  params: Record<string, string | number | readonly string[]>;
}

export type Result<T> = { ok: true; value: T } | { ok: false; problem: Problem };

export const succeed = <T>(value: T): Result<T> => ({ ok: true, value });

export const fail = (
  code: ProblemCode,
  path = '',
  params: Problem['params'] = {},
): { ok: false; problem: Problem } => ({
  ok: false,
  problem: { code, path, params },
});
