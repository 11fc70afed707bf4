-- The list of pieces is read a stretch at a time, newest change first.
CREATE INDEX piece_by_change ON piece (changed_at DESC, id);
