namespace UpperStill.Formats.Packages;

/// <summary>The tables of a package. What people read comes first; what an instance is restored from stands after it.</summary>
public static class PackageTables
{
    private const string Json = "as JSON";

    /// <summary>Visits, for people.</summary>
    public static PackageTable Visits { get; } =
        new(
            "visits",
            "One row for each visit.",
            [
                new("visit", "string", "identity"),
                new("station", "string", "code of the station"),
                new("day", "date", "local day"),
                new("began", "datetime", "with the local offset"),
                new("observers", "string", "who read"),
                new("review", "string", "how far its review is"),
                new("took", "string", "what was taken"),
            ],
            Plain: true
        );

    /// <summary>Everything measured, tidy, for people.</summary>
    public static PackageTable Readings { get; } =
        new(
            "readings",
            "One row for each number: what, where, how deep, in which unit, by which method.",
            [
                new("visit", "string", "identity of the visit"),
                new("station", "string", "code of the station"),
                new("day", "date", "local day"),
                new("parameter", "string", "what was measured"),
                new("place", "string", "where in the water"),
                new("depth_m", "number", "depth in metres; empty where it is not at one depth"),
                new("value", "number", "the value, or its limit where it is censored"),
                new("censored", "string", "above or below where it is only known to lie beyond the value"),
                new("unit", "string", "unit of the value"),
                new("as_reported", "string", "as it was reported"),
                new("method", "string", "how it was measured"),
                new("usable", "boolean", "false where a stop stands open"),
                new("signed_off", "boolean", "true once a reviewer vouches for it"),
            ],
            Plain: true
        );

    /// <summary>Waters.</summary>
    public static PackageTable Waters { get; } =
        new("waters", "Waters as they are set up.", [new("code", "string", "identity"), new("definition", "string", Json)]);

    /// <summary>Stations.</summary>
    public static PackageTable Stations { get; } =
        new(
            "stations",
            "Stations as they are set up.",
            [
                new("code", "string", "identity"),
                new("water", "string", "code of the water"),
                new("programme", "string", "code of the programme"),
                new("line", "string", "the line proposed"),
                new("weekdays", "string", "days on which people can go, Sunday = 0"),
                new("ordinal", "integer", "place in the list"),
                new("definition", "string", Json),
            ]
        );

    /// <summary>Programmes.</summary>
    public static PackageTable Programmes { get; } =
        new(
            "programmes",
            "Every version of every programme.",
            [new("code", "string", "identity"), new("version", "integer", "counts up from 1"), new("definition", "string", Json)]
        );

    /// <summary>Kit.</summary>
    public static PackageTable Kit { get; } =
        new(
            "kit",
            "The kit with its history of checks: lines correct readings by it.",
            [new("code", "string", "identity"), new("kind", "string", "what sort of thing"), new("definition", "string", Json)]
        );

    /// <summary>Laboratories.</summary>
    public static PackageTable Laboratories { get; } =
        new("laboratories", "Laboratories and their hours.", [new("code", "string", "identity"), new("definition", "string", Json)]);

    /// <summary>Joins of series.</summary>
    public static PackageTable Joins { get; } =
        new(
            "series-joins",
            "Changes of method across which somebody joined a series.",
            [
                new("station", "string", "code of the station"),
                new("subject", "string", "what the series is of"),
                new("day", "date", "first day of the new method"),
                new("why", "string", "reason"),
                new("by", "string", "who"),
            ]
        );

    /// <summary>Limits.</summary>
    public static PackageTable Limits { get; } =
        new(
            "limits",
            "Limits that values are held against, with their sources.",
            [
                new("id", "string", "identity"),
                new("water", "string", "code of the water"),
                new("subject", "string", "what it is of"),
                new("above", "boolean", "true where a value should lie above"),
                new("value", "number", "in the subject's unit"),
                new("name", "string", "what it is called"),
                new("source", "string", "where it stands"),
            ]
        );

    /// <summary>Days of the season set by hand.</summary>
    public static PackageTable SeasonDays { get; } =
        new(
            "season-days",
            "Days of the season set aside by hand.",
            [
                new("id", "string", "identity"),
                new("station", "string", "code; empty for all"),
                new("day", "date", "the day"),
                new("kind", "string", "what for"),
                new("why", "string", "reason"),
                new("by", "string", "who"),
                new("at", "datetime", "when"),
            ]
        );

    /// <summary>Photographs, each a file of the folder photos.</summary>
    public static PackageTable Photos { get; } =
        new(
            "photos",
            "Photographs of landmarks; each is a file of the folder photos.",
            [
                new("id", "string", "identity"),
                new("water", "string", "code of the water"),
                new("file", "string", "its file"),
                new("by", "string", "who brought it"),
                new("at", "datetime", "when"),
            ]
        );

    /// <summary>Everybody with an account, without passwords; in whole packages only.</summary>
    public static PackageTable People { get; } =
        new(
            "people",
            "Everybody with an account, without passwords: each chooses one anew, by a link.",
            [
                new("id", "string", "identity"),
                new("name", "string", "the name beside readings"),
                new("sign_in_name", "string", "the name to sign in with"),
                new("grants", "string", "roles and waters, as JSON"),
                new("active", "boolean", "false once they have left"),
            ]
        );

    /// <summary>Names in the record beside those that people bear now; in whole packages only.</summary>
    public static PackageTable Names { get; } =
        new(
            "names",
            "Earlier names and other spellings, and whose they are.",
            [new("name", "string", "as it stands in the record"), new("person", "string", "identity of whose it is")]
        );

    /// <summary>Who changed what; in whole packages only.</summary>
    public static PackageTable Changes { get; } =
        new(
            "changes",
            "Who changed what of people and set-up, and when.",
            [
                new("at", "datetime", "when"),
                new("by", "string", "who"),
                new("subject", "string", "what sort of thing"),
                new("key", "string", "which one"),
                new("before", "string", "as it was"),
                new("after", "string", "as it became"),
            ]
        );

    /// <summary>Stations that were proposed; in whole packages only.</summary>
    public static PackageTable Proposals { get; } =
        new(
            "proposals",
            "Stations that were proposed, and what became of them.",
            [
                new("id", "string", "identity"),
                new("water", "string", "code of the water"),
                new("definition", "string", Json),
                new("why", "string", "reason"),
                new("by", "string", "who"),
                new("at", "datetime", "when"),
                new("outcome", "string", "empty while it is open"),
            ]
        );

    /// <summary>The log.</summary>
    public static PackageTable Entries { get; } =
        new(
            "entries",
            "The log: every entry as it was written, in the order of arrival. The record follows from it.",
            [
                new("id", "string", "identity"),
                new("visit", "string", "the visit"),
                new("kind", "string", "the kind"),
                new("version", "integer", "version of the body"),
                new("body", "string", Json),
                new("at", "datetime", "when it was written, with the device's offset"),
                new("by", "string", "who"),
                new("device", "string", "which device"),
                new("strikes", "string", "the entry it strikes"),
                new("why", "string", "the reason"),
                new("received", "datetime", "when the server received it"),
                new("clock_off_s", "integer", "seconds by which the device's clock was ahead"),
                new("person", "string", "identity of who made it", Since: true),
                new("delivered_by", "string", "who delivered it", Since: true),
                new("delivered_by_id", "string", "that person's identity", Since: true),
            ]
        );

    /// <summary>What an instance is restored from, in the order in which it is read.</summary>
    public static IReadOnlyList<PackageTable> Restored { get; } =
    [Waters, Programmes, Kit, Stations, Laboratories, Joins, Limits, SeasonDays, Entries];
}
