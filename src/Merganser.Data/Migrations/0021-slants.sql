-- How a shaft stands in the target, where it was said.
ALTER TABLE shot ADD COLUMN slant TEXT CHECK (slant IS NULL OR (
  slant IN ('straight', 'nockLeft', 'nockRight', 'nockHigh', 'nockLow') AND arrow_kind IS NOT NULL));
