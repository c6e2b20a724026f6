ALTER TABLE "shops" ADD COLUMN "log_stamp" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
-- Everything that a tap sheet shows stamps its shop with the transaction that changed it. The triggers wait for the end
-- of the transaction: the shop's row is locked last and shortly, and however many rows changed, it is written once.
CREATE FUNCTION stamp_log() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
  shop uuid;
BEGIN
  IF TG_TABLE_NAME = 'sources' THEN
    SELECT shop_id INTO shop FROM models WHERE id = NEW.model_id;
  ELSIF TG_TABLE_NAME = 'readings' THEN
    SELECT shop_id INTO shop FROM jobs WHERE id = NEW.job_id;
  ELSIF TG_TABLE_NAME IN ('tap_readings', 'tap_observations') THEN
    SELECT shop_id INTO shop FROM tap_points WHERE id = coalesce(NEW.tap_point_id, OLD.tap_point_id);
  ELSE
    shop := coalesce(NEW.shop_id, OLD.shop_id);
  END IF;
  UPDATE shops SET log_stamp = txid_current() WHERE id = shop AND log_stamp <> txid_current();
  RETURN NULL;
END
$$;--> statement-breakpoint
CREATE CONSTRAINT TRIGGER tap_points_stamp AFTER INSERT OR UPDATE OR DELETE ON "tap_points"
  DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION stamp_log();--> statement-breakpoint
CREATE CONSTRAINT TRIGGER tap_readings_stamp AFTER INSERT OR UPDATE OR DELETE ON "tap_readings"
  DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION stamp_log();--> statement-breakpoint
CREATE CONSTRAINT TRIGGER tap_observations_stamp AFTER INSERT OR UPDATE OR DELETE ON "tap_observations"
  DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION stamp_log();--> statement-breakpoint
-- Before an observation speaks of it a reading is on no sheet; afterwards it can be withdrawn.
CREATE CONSTRAINT TRIGGER readings_stamp AFTER UPDATE ON "readings"
  DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION stamp_log();--> statement-breakpoint
-- A tap point's source is there before it and stays; what its contacts lie towards may be written later.
CREATE CONSTRAINT TRIGGER sources_stamp AFTER UPDATE OF "landmark_a", "landmark_b" ON "sources"
  DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION stamp_log();--> statement-breakpoint
CREATE CONSTRAINT TRIGGER users_stamp AFTER UPDATE OF "name" ON "users"
  DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION stamp_log();--> statement-breakpoint
-- A table that is emptied fires no trigger for its rows; one of tap points takes these two with it.
CREATE FUNCTION stamp_all_logs() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  UPDATE shops SET log_stamp = txid_current();
  RETURN NULL;
END
$$;--> statement-breakpoint
CREATE TRIGGER tap_readings_emptied AFTER TRUNCATE ON "tap_readings" EXECUTE FUNCTION stamp_all_logs();--> statement-breakpoint
CREATE TRIGGER tap_observations_emptied AFTER TRUNCATE ON "tap_observations" EXECUTE FUNCTION stamp_all_logs();
