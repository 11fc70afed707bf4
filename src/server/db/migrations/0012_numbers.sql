-- Every change of a piece has a number larger than any before, by which a device asks for what it does not know yet: clocks
-- may go back, numbers do not. `purged` is the last number when pieces were deleted for good; `life` counts how often the
-- records came back from a copy, after which numbers begin again where the copy had them.
CREATE TABLE counter (name TEXT PRIMARY KEY, value INTEGER NOT NULL) STRICT, WITHOUT ROWID;
INSERT INTO counter SELECT 'change', count(*) FROM piece;
INSERT INTO counter VALUES ('purged', 0), ('life', 1);

ALTER TABLE piece ADD COLUMN change_number INTEGER NOT NULL DEFAULT 0;
UPDATE piece SET change_number = ranked.number
FROM (SELECT id, row_number() OVER (ORDER BY changed_at, id) AS number FROM piece) AS ranked WHERE ranked.id = piece.id;
CREATE INDEX piece_by_number ON piece (change_number);

CREATE TRIGGER piece_changed AFTER UPDATE OF changed_at, removed_at ON piece BEGIN
  UPDATE counter SET value = value + 1 WHERE name = 'change';
  UPDATE piece SET change_number = (SELECT value FROM counter WHERE name = 'change') WHERE id = NEW.id;
END;
CREATE TRIGGER piece_came AFTER INSERT ON piece BEGIN
  UPDATE counter SET value = value + 1 WHERE name = 'change';
  UPDATE piece SET change_number = (SELECT value FROM counter WHERE name = 'change') WHERE id = NEW.id;
END;
CREATE TRIGGER piece_gone AFTER DELETE ON piece BEGIN
  UPDATE counter SET value = (SELECT value FROM counter WHERE name = 'change') WHERE name = 'purged';
END;
