-- Answers beside which a photograph proposed one: what the rates of looks with the camera are made of.
CREATE INDEX observation_proposed ON observation (piece_id) WHERE json_extract(body, '$.proposed') IS NOT NULL;
