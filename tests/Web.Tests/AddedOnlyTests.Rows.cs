namespace Merganser.Web.Tests;

public partial class AddedOnlyTests
{
    private const string VisitRows = """
        INSERT INTO flight_wish (id, bow_id, error, error_typed, circle_typed, spread, spread_typed, height_typed,
          altitude_typed, temperature_typed, said_at)
        SELECT 'wish', id, 'usual', '', '8', 'measured', '', '', '', '', 'now' FROM bow LIMIT 1;
        INSERT INTO proven_mark (id, bow_id, arrow_version_id, kind, yards, value, distance_typed, value_typed,
          proven_at)
        SELECT 'proven', a.bow_id, v.id, 'mark', 20, 1.5, '20', '1.5', 'now'
        FROM arrow_version v JOIN arrow a ON a.id = v.arrow_id LIMIT 1;
        INSERT INTO archer (id, name, facts, created_at) VALUES ('second', 'second', '{}', 'now');
        INSERT INTO visit (id, bow_id, archer_id, number, wants, arrived_at)
        SELECT 'visit', id, archer_id, 1, 'a string', 'now' FROM bow LIMIT 1;
        INSERT INTO visit_state (visit_id, moment, taken_at, string_shots, settling_left, unsound)
        VALUES ('visit', 'found', 'now', 12, 0, 0);
        INSERT INTO visit_value (visit_id, moment, part, kind, value, since)
        VALUES ('visit', 'found', 'check', 'braceHeight', 6.5, 'now');
        INSERT INTO visit_line (id, visit_id, kind, text, quantity, entered_at)
        VALUES ('line', 'visit', 'part', 'string', 1, 'now');
        INSERT INTO visit_end (visit_id, watch, handed_over_at) VALUES ('visit', 'the peep', 'now');
        INSERT INTO bow_owner (id, bow_id, from_archer_id, to_archer_id, handed_at)
        SELECT 'owner', id, archer_id, 'second', 'now' FROM bow LIMIT 1;
        """;
}
