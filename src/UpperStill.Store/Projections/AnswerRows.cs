using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;

namespace UpperStill.Store.Projections;

/// <summary>What a series of a station says, as it was last worked out.</summary>
public sealed class AnswerRow
{
    /// <summary>The unit of its words.</summary>
    public ReaderUnit Reader { get; set; }

    /// <summary>What the series is of.</summary>
    public Parameter Subject { get; set; }

    /// <summary>The station's code.</summary>
    public required string Station { get; set; }

    /// <summary>The mark of the station when its values were read; another one now means that something has changed.</summary>
    public long Mark { get; set; }

    /// <summary>The build of the rules that worked it out.</summary>
    public required string Rules { get; set; }

    /// <summary>Its test as JSON of Core, apart from the rest, so that thousands can be put together; null where the station has no such
    /// series.</summary>
    public string? Test { get; set; }

    /// <summary>The answer as JSON of Core; null where the station has no such series.</summary>
    public string? Definition { get; set; }
}

/// <summary>How often what a station's series rest on has changed.</summary>
public sealed class StationMarkRow
{
    /// <summary>The station's code.</summary>
    public required string Station { get; set; }

    /// <summary>Grows with every change.</summary>
    public long Mark { get; set; }
}
