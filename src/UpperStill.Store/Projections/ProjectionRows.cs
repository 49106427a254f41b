namespace UpperStill.Store.Projections;

/// <summary>A visit as the log gives it; made anew by <c>rebuild</c>.</summary>
public sealed record VisitRow
{
    /// <summary>The visit.</summary>
    public Guid Visit { get; set; }

    /// <summary>The station's code.</summary>
    public required string Station { get; set; }

    /// <summary>Local day.</summary>
    public DateOnly Day { get; set; }

    /// <summary>When it began.</summary>
    public DateTimeOffset StartedAt { get; set; }

    /// <summary>True once it has ended.</summary>
    public bool Closed { get; set; }

    /// <summary>The newest of its entries in the log, so that a device can tell what changed.</summary>
    public long LastSequence { get; set; }

    /// <summary>What was taken: names of protocols with commas between.</summary>
    public string Took { get; set; } = string.Empty;

    /// <summary>From how deep the composite sampler was raised so that it worked, m; null where it was not, or not timed.</summary>
    public double? CompositeFromM { get; set; }

    /// <summary>How long that took, s.</summary>
    public double? CompositeRaiseS { get; set; }

    /// <summary>Who read.</summary>
    public required string Observers { get; set; }

    /// <summary>How far its review is.</summary>
    public string Review { get; set; } = string.Empty;

    /// <summary>True where a reviewer vouches for what was read on the water.</summary>
    public bool FieldSigned { get; set; }

    /// <summary>True where a reviewer vouches for its results as well.</summary>
    public bool ResultsSigned { get; set; }

    /// <summary>Findings that are open.</summary>
    public int OpenFindings { get; set; }

    /// <summary>Questions of a reviewer that nobody has answered.</summary>
    public int OpenQuestions { get; set; }
}

/// <summary>A level of a visit's profile, in working units; levels that may be mud are not among them.</summary>
public sealed record LevelRow
{
    /// <summary>The visit.</summary>
    public Guid Visit { get; set; }

    /// <summary>Its place from the surface down.</summary>
    public int Ordinal { get; set; }

    /// <summary>The station's code.</summary>
    public required string Station { get; set; }

    /// <summary>Local day.</summary>
    public DateOnly Day { get; set; }

    /// <summary>m.</summary>
    public double DepthM { get; set; }

    /// <summary>°C; null where it was not read.</summary>
    public double? TemperatureC { get; set; }

    /// <summary>mg/L; null where it was not read.</summary>
    public double? OxygenMgL { get; set; }
}

/// <summary>A finding of a visit.</summary>
public sealed record FindingRow
{
    /// <summary>The visit.</summary>
    public Guid Visit { get; set; }

    /// <summary>Its place in the list of the visit.</summary>
    public int Ordinal { get; set; }

    /// <summary>The code.</summary>
    public required string Code { get; set; }

    /// <summary>note, check or stop.</summary>
    public required string Level { get; set; }

    /// <summary>What was seen.</summary>
    public required string Seen { get; set; }

    /// <summary>The reason given; null while it is open.</summary>
    public string? Kept { get; set; }
}

/// <summary>A sample of a visit.</summary>
public sealed record SampleRow
{
    /// <summary>The visit.</summary>
    public Guid Visit { get; set; }

    /// <summary>Its number.</summary>
    public required string Number { get; set; }

    /// <summary>The number without its check character: what results are matched by.</summary>
    public required string Body { get; set; }

    /// <summary>The station's code.</summary>
    public required string Station { get; set; }

    /// <summary>The water's code.</summary>
    public required string Water { get; set; }

    /// <summary>Local day.</summary>
    public DateOnly Day { get; set; }

    /// <summary>Where it is in its life.</summary>
    public required string State { get; set; }

    /// <summary>True while something is still to happen to it.</summary>
    public bool Open { get; set; }

    /// <summary>The manifest it left with.</summary>
    public Guid? Manifest { get; set; }

    /// <summary>The sample as JSON of Core.</summary>
    public required string Definition { get; set; }
}

/// <summary>What the profile of a visit leaves in the record.</summary>
public sealed record ProfileRow
{
    /// <summary>The visit.</summary>
    public Guid Visit { get; set; }

    /// <summary>The station's code.</summary>
    public required string Station { get; set; }

    /// <summary>Local day.</summary>
    public DateOnly Day { get; set; }

    /// <summary>False where a stop on the profile stands open.</summary>
    public bool Usable { get; set; }

    /// <summary>Temperature at the shallowest level, °C.</summary>
    public double SurfaceC { get; set; }

    /// <summary>Temperature at the deepest level, °C.</summary>
    public double BottomC { get; set; }

    /// <summary>Depth of the thermocline by density, m.</summary>
    public double? ThermoclineM { get; set; }

    /// <summary>Oxygen at the deepest level, mg/L.</summary>
    public double? BottomOxygenMgL { get; set; }

    /// <summary>Depth of that level, m.</summary>
    public double? BottomM { get; set; }

    /// <summary>Depth below which it is hypoxic, m.</summary>
    public double? HypoxicM { get; set; }

    /// <summary>Depth below which it is anoxic, m.</summary>
    public double? AnoxicM { get; set; }

    /// <summary>Schmidt stability, J/m².</summary>
    public double? StabilityJM2 { get; set; }

    /// <summary>Share of the lake's area below the anoxic depth, 0–1.</summary>
    public double? AnoxicArea { get; set; }

    /// <summary>Oxygen of the water below the metalimnion, by volume, mg/L.</summary>
    public double? DeepOxygenMgL { get; set; }

    /// <summary>Mean thickness of that water, m.</summary>
    public double? DeepThicknessM { get; set; }

    /// <summary>True where a reviewer vouches for it.</summary>
    public bool SignedOff { get; set; }
}
