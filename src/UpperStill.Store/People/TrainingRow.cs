using UpperStill.Core.Setup.People;

namespace UpperStill.Store.People;

/// <summary>A training that somebody had.</summary>
public sealed class TrainingRow
{
    /// <summary>Identity.</summary>
    public Guid Id { get; set; }

    /// <summary>Who had it.</summary>
    public Guid Person { get; set; }

    /// <summary>The protocol, by its code.</summary>
    public required string What { get; set; }

    /// <summary>The day.</summary>
    public DateOnly On { get; set; }

    /// <summary>Who trained them.</summary>
    public required string By { get; set; }

    /// <summary>As Core has it.</summary>
    public Trained Read() => new(What, On, By);
}
