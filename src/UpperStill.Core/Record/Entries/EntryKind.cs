using System.Runtime.CompilerServices;
using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Entries;

/// <summary>Who writes a kind of entry and may strike it; a coordinator of the water is each of them.</summary>
public enum EntryOwner
{
    /// <summary>Samplers: what is read and done on the water and at the bench.</summary>
    Sampler,

    /// <summary>Laboratories: what they take in, reject, measure and report.</summary>
    Laboratory,

    /// <summary>Reviewers, who are coordinators.</summary>
    Reviewer,

    /// <summary>Coordinators of every water at which the visit lies, lay or will lie.</summary>
    Mover,

    /// <summary>Samplers and laboratories: the answer to a finding that speaks of a laboratory’s entries alone.</summary>
    Either,
}

/// <summary>What of a visit changes with an entry, for whoever vouches for it.</summary>
internal enum Vouched
{
    /// <summary>What was read and done on the water.</summary>
    Field,

    /// <summary>What its results say.</summary>
    Results,

    /// <summary>No value: where a sample stands, an answer to a finding.</summary>
    Nothing,
}

/// <summary>A kind of entry: its name, its version and the shape of its body. Old versions stay readable for ever.</summary>
public abstract class EntryKind
{
    private protected EntryKind(string name, int version, string description) =>
        (Name, Version, Description) = (name, version, description);

    /// <summary>The name in the log.</summary>
    public string Name { get; }

    /// <summary>The version that is written today.</summary>
    public int Version { get; }

    /// <summary>One line for people who read the interface's description.</summary>
    public string Description { get; }

    /// <summary>The body's shape.</summary>
    public abstract JsonTypeInfo Body { get; }

    /// <summary>Who writes it, and who may strike it.</summary>
    public EntryOwner Owner { get; init; }

    /// <summary>What of a visit a reviewer vouches for by it.</summary>
    internal Vouched Vouched { get; init; }

    /// <summary>True where it says nothing without a reason.</summary>
    internal bool NeedsReason { get; init; }

    /// <summary>Where the page speaks of a number in it that is outside its range; null where its own part does.</summary>
    internal Beside? NumbersBeside { get; init; }

    /// <summary>Why a body cannot be kept as one of this kind; null where it can.</summary>
    internal abstract string? Fault(JsonElement body, bool anew);

    /// <summary>The first number of the body outside what is declared for it, in words; null where there is none.</summary>
    internal abstract string? Outside(Entry entry);

    /// <summary>The entry in a few words for the log of the visit.</summary>
    internal abstract string Words(Entry entry, ReaderUnit reader);
}

/// <summary>A kind whose body is a <typeparamref name="T"/>.</summary>
/// <typeparam name="T">The body.</typeparam>
public sealed class EntryKind<T> : EntryKind
    where T : class
{
    // An entry never changes: what was read of it once holds for every fold that has the same entry in its hands.
    private readonly ConditionalWeakTable<Entry, object> known = [];
    private readonly ConditionalWeakTable<Entry, Said> said = [];
    private readonly ConditionalWeakTable<Entry, Beyond> outside = [];
    private readonly Func<JsonTypeInfo<T>> body;
    private readonly Func<T, ReaderUnit, string> words;
    private readonly Func<T, int, T>? older;

    /// <param name="name">Name in the log.</param>
    /// <param name="version">Version written today.</param>
    /// <param name="description">One line.</param>
    /// <param name="body">The body's shape.</param>
    /// <param name="words">The body in a few words.</param>
    /// <param name="older">What a body of an earlier version says in today's words; the log keeps it as it was written.</param>
    internal EntryKind(
        string name,
        int version,
        string description,
        Func<JsonTypeInfo<T>> body,
        Func<T, ReaderUnit, string> words,
        Func<T, int, T>? older = null
    )
        : base(name, version, description) => (this.body, this.words, this.older) = (body, words, older);

    /// <inheritdoc/>
    public override JsonTypeInfo Body => body();

    /// <summary>An entry of this kind that a repair writes.</summary>
    internal RepairEntry Anew(T given, Guid? strikes = null, string? why = null) =>
        new(Name, JsonSerializer.SerializeToElement(given, body()), strikes, why);

    /// <summary>The body; null where it cannot be read. What the log holds is read as long as it can be represented.</summary>
    public T? Read(JsonElement given)
    {
        try
        {
            return given.Deserialize(body()) is { } read && BodyShape.Fault(given, Body, Judged.Held) is null ? read : null;
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException)
        {
            // The second is a text that is no Unicode.
            return null;
        }
    }

    /// <summary>The body of an entry of this kind; null where it cannot be read.</summary>
    internal T? Read(Entry entry)
    {
        if (known.TryGetValue(entry, out var already))
        {
            return (T)already;
        }

        if (Read(entry.Body) is not { } read)
        {
            return null;
        }

        if (older is not null && entry.Version < Version)
        {
            read = older(read, entry.Version);
        }

        known.AddOrUpdate(entry, read);
        return read;
    }

    internal override string? Fault(JsonElement given, bool anew) =>
        BodyShape.Fault(given, Body, anew ? Judged.Written : Judged.Held)
        ?? (Read(given) is null ? "it lacks something, or a value is of another type" : null);

    internal override string? Outside(Entry entry)
    {
        if (!outside.TryGetValue(entry, out var words))
        {
            words = new Beyond(Ranges.Outside(entry.Body, Body) is var (_, seen, range) ? $"{seen} is outside {range.Words}" : null);
            outside.AddOrUpdate(entry, words);
        }

        return words.Words;
    }

    internal override string Words(Entry entry, ReaderUnit reader)
    {
        if (!said.TryGetValue(entry, out var last) || last.Reader != reader)
        {
            last = new Said(reader, Read(entry) is { } read ? words(read, reader) : "unreadable");
            said.AddOrUpdate(entry, last);
        }

        return last.Words;
    }

    private sealed record Beyond(string? Words);

    private sealed record Said(ReaderUnit Reader, string Words);
}
