using System.Text.Json.Serialization;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Store.Reference;

/// <summary>A water.</summary>
public sealed class WaterRow
{
    /// <summary>The water's code.</summary>
    public required string Code { get; set; }

    /// <summary>The water as JSON of Core.</summary>
    public required string Definition { get; set; }

    /// <summary>Counts up with every change.</summary>
    public int Version { get; set; }
}

/// <summary>A change to a reference table: who changed what when. Append only.</summary>
public sealed class ChangeRow
{
    /// <summary>Order of the changes.</summary>
    public long Sequence { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>Who.</summary>
    public required string By { get; set; }

    /// <summary>What sort of thing, for example <c>station</c>.</summary>
    public required string Subject { get; set; }

    /// <summary>Which one.</summary>
    public required string Key { get; set; }

    /// <summary>As it was; null where it is new.</summary>
    public string? Before { get; set; }

    /// <summary>As it is now; null where it is gone.</summary>
    public string? After { get; set; }
}

/// <summary>A station.</summary>
public sealed class StationRow
{
    /// <summary>The station's code.</summary>
    public required string Code { get; set; }

    /// <summary>The code of its water.</summary>
    public required string Water { get; set; }

    /// <summary>The station as JSON of Core.</summary>
    public required string Definition { get; set; }

    /// <summary>The programme it is sampled under today.</summary>
    public required string Programme { get; set; }

    /// <summary>The line proposed for a visit.</summary>
    public string? Line { get; set; }

    /// <summary>Days of the week on which its people can go, as numbers from Sunday = 0 with commas between; empty where any will
    /// do.</summary>
    public string Weekdays { get; set; } = string.Empty;

    /// <summary>Place in the list.</summary>
    public int Ordinal { get; set; }

    /// <summary>Counts up with every change.</summary>
    public int Version { get; set; }
}

/// <summary>A laboratory and its hours.</summary>
public sealed class LaboratoryRow
{
    /// <summary>The laboratory's code.</summary>
    public required string Code { get; set; }

    /// <summary>The laboratory as JSON of Core.</summary>
    public required string Definition { get; set; }

    /// <summary>Counts up with every change.</summary>
    public int Version { get; set; }
}

/// <summary>What a day of the season is set aside for.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<SeasonDayKind>))]
public enum SeasonDayKind
{
    /// <summary>A visit is to fall on it.</summary>
    Pinned,

    /// <summary>Nobody can go.</summary>
    Blocked,

    /// <summary>Everybody tries to go.</summary>
    Shared,

    /// <summary>The ice went.</summary>
    IceOut,
}

/// <summary>A day of the season set aside by hand.</summary>
public sealed class SeasonDayRow
{
    /// <summary>Identity.</summary>
    public Guid Id { get; set; }

    /// <summary>The station; null for all.</summary>
    public string? Station { get; set; }

    /// <summary>The day.</summary>
    public DateOnly Day { get; set; }

    /// <summary>What for.</summary>
    public SeasonDayKind Kind { get; set; }

    /// <summary>Why.</summary>
    public required string Why { get; set; }

    /// <summary>Who set it.</summary>
    public required string By { get; set; }

    /// <summary>When it was set.</summary>
    public DateTimeOffset At { get; set; }
}

/// <summary>One version of a programme; never changed once a visit names it.</summary>
public sealed class ProgrammeRow
{
    /// <summary>The programme's code.</summary>
    public required string Code { get; set; }

    /// <summary>The version.</summary>
    public int Version { get; set; }

    /// <summary>The programme as JSON of Core.</summary>
    public required string Definition { get; set; }
}

/// <summary>An item of the kit.</summary>
public sealed class KitRow
{
    /// <summary>The item's code.</summary>
    public required string Code { get; set; }

    /// <summary>What sort of thing.</summary>
    public KitKind Kind { get; set; }

    /// <summary>The item as JSON of Core, without its checks.</summary>
    public required string Definition { get; set; }

    /// <summary>Counts up with every change.</summary>
    public int Version { get; set; }
}

/// <summary>A check of an item, or the strike of one: the newest row of a check stands. Rows are only added.</summary>
public sealed class KitCheckRow
{
    /// <summary>Order.</summary>
    public long Sequence { get; set; }

    /// <summary>The item's code.</summary>
    public required string Item { get; set; }

    /// <summary>The check's identity.</summary>
    public Guid Check { get; set; }

    /// <summary>The check as JSON of Core.</summary>
    public required string Definition { get; set; }
}

/// <summary>A photograph, for example of landmarks in line.</summary>
public sealed class PhotoRow
{
    /// <summary>Identity.</summary>
    public Guid Id { get; set; }

    /// <summary>The code of the water it belongs to: who sees the water sees it.</summary>
    public required string Water { get; set; }

    /// <summary>image/jpeg or image/png.</summary>
    public required string ContentType { get; set; }

    /// <summary>The picture.</summary>
    public required byte[] Bytes { get; set; }

    /// <summary>Who brought it.</summary>
    public required string By { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }
}

/// <summary>A station that somebody proposes and a coordinator takes up or declines.</summary>
public sealed class ProposalRow
{
    /// <summary>Identity.</summary>
    public Guid Id { get; set; }

    /// <summary>The code of its water.</summary>
    public required string Water { get; set; }

    /// <summary>The station as JSON of Core.</summary>
    public required string Definition { get; set; }

    /// <summary>Why there, in the proposer's words.</summary>
    public required string Why { get; set; }

    /// <summary>Who proposes it.</summary>
    public required string By { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>What became of it: the station's code, or the reason it was declined for; null while it is open.</summary>
    public string? Outcome { get; set; }

    /// <summary>Who decided.</summary>
    public string? DecidedBy { get; set; }
}

/// <summary>A fact about this instance, such as where the demo's clock stands.</summary>
public sealed class InstanceFact
{
    /// <summary>The name.</summary>
    public required string Name { get; set; }

    /// <summary>The value.</summary>
    public required string Value { get; set; }
}

/// <summary>A row of a results file that could not be joined to a sample: listed until somebody settles it, never dropped.</summary>
public sealed class HeldResultRow
{
    /// <summary>Follows from what the row says: the same row brought again is the same.</summary>
    public Guid Id { get; set; }

    /// <summary>The number as it stands in the file.</summary>
    public required string Number { get; set; }

    /// <summary>The water, where the number names a sample that is known; null otherwise.</summary>
    public string? Water { get; set; }

    /// <summary>Why it is held: the code of a finding.</summary>
    public required string Code { get; set; }

    /// <summary>The same in words.</summary>
    public required string Why { get; set; }

    /// <summary>The result as JSON of Core; null where the row could not be read so far.</summary>
    public string? Result { get; set; }

    /// <summary>The row as it stands in the file.</summary>
    public required string Raw { get; set; }

    /// <summary>The file.</summary>
    public required string File { get; set; }

    /// <summary>Its line there.</summary>
    public long Line { get; set; }

    /// <summary>Who brought it.</summary>
    public required string By { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>What became of it; null while it is open.</summary>
    public string? Settled { get; set; }
}

/// <summary>How the columns of a laboratory's files are read, remembered by their heads.</summary>
public sealed class ResultMappingRow
{
    /// <summary>The heads of the columns, in order, small letters.</summary>
    public required string Heads { get; set; }

    /// <summary>The mapping as JSON.</summary>
    public required string Mapping { get; set; }

    /// <summary>Who chose it.</summary>
    public required string By { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }
}

/// <summary>A change of method across which somebody joined a series.</summary>
public sealed class SeriesJoinRow
{
    /// <summary>The station's code.</summary>
    public required string Station { get; set; }

    /// <summary>What the series is of, by its name in Core.</summary>
    public required string Subject { get; set; }

    /// <summary>The first day of the new method.</summary>
    public DateOnly Day { get; set; }

    /// <summary>Why they may be joined.</summary>
    public required string Why { get; set; }

    /// <summary>Who joined them.</summary>
    public required string By { get; set; }
}

/// <summary>A limit that values of a water are held against: somebody else's number, with its source.</summary>
public sealed class BenchmarkRow
{
    /// <summary>Identity.</summary>
    public Guid Id { get; set; }

    /// <summary>The water's code.</summary>
    public required string Water { get; set; }

    /// <summary>What it is of, by its name in Core.</summary>
    public required string Subject { get; set; }

    /// <summary>True where a value should lie above it, false where below.</summary>
    public bool Above { get; set; }

    /// <summary>The number, in the subject's unit.</summary>
    public decimal Value { get; set; }

    /// <summary>What it is called.</summary>
    public required string Name { get; set; }

    /// <summary>Where it stands.</summary>
    public required string Source { get; set; }
}
