using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Import;

/// <summary>What the visits of a table are written under.</summary>
/// <param name="Import">The import.</param>
/// <param name="File">The file's name.</param>
/// <param name="By">Who brings it in.</param>
/// <param name="Device">On which device.</param>
/// <param name="Person">That person's account.</param>
public sealed record HistoricSource(Guid Import, string File, string By, string Device, Guid? Person = null);

/// <summary>Writes the visits of an old table as entries, so that every number leads back to its line.</summary>
public static class HistoricEntries
{
    /// <summary>Nobody knows who read.</summary>
    public const string Unknown = "not stated";

    private static readonly TimeOnly Noon = new(12, 0);

    /// <summary>The entries of one visit.</summary>
    /// <param name="visit">The visit.</param>
    /// <param name="source">What it is written under.</param>
    /// <param name="programme">The programme of its station.</param>
    /// <param name="offset">The offset from UTC at a local time.</param>
    /// <param name="next">Makes ids, UUIDs of version 7, each after the one before: levels keep their order by it.</param>
    public static IEnumerable<Entry> Of(
        HistoricVisit visit,
        HistoricSource source,
        Programme programme,
        Func<DateTime, TimeSpan> offset,
        Func<Guid> next
    )
    {
        ArgumentNullException.ThrowIfNull(visit);
        ArgumentNullException.ThrowIfNull(source);
        ArgumentNullException.ThrowIfNull(programme);
        ArgumentNullException.ThrowIfNull(offset);
        ArgumentNullException.ThrowIfNull(next);
        var local = visit.Day.ToDateTime(visit.Time ?? Noon);
        var (at, id) = (new DateTimeOffset(local, offset(local)), next());
        yield return Make(
            VisitKinds.VisitStarted,
            VisitJson.Default.VisitStartedBody,
            new VisitStartedBody(
                visit.Station,
                programme.Code,
                programme.Version,
                visit.Observers.Count > 0 ? visit.Observers : [Unknown],
                null,
                [],
                true,
                null,
                visit.Time is null ? true : null,
                new ImportedFrom(source.Import, source.File, visit.Line)
            )
        );
        if (visit.Clarity is { } clarity)
        {
            yield return Make(SecchiKinds.ClarityStated, SecchiJson.Default.ClarityStatedBody, clarity);
        }

        foreach (var level in visit.Levels)
        {
            yield return Make(ProfileKinds.Level, ProfileJson.Default.LevelBody, level);
        }

        foreach (var value in visit.Values)
        {
            yield return Make(ResultKinds.ValueStated, ResultJson.Default.ValueStatedBody, value);
        }

        yield return Make(VisitKinds.VisitClosed, VisitJson.Default.EmptyBody, new EmptyBody());

        Entry Make<T>(EntryKind<T> kind, JsonTypeInfo<T> shape, T body)
            where T : class =>
            new(next(), id, kind.Name, kind.Version, JsonSerializer.SerializeToElement(body, shape), at, source.By, source.Device)
            {
                Person = source.Person,
            };
    }
}
