using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Described;

/// <summary>The one kind of entry of all described protocols.</summary>
public static class ObservationKinds
{
    /// <summary>One value of a described protocol.</summary>
    public static readonly EntryKind<ObservationBody> Observation = new(
        "observation",
        1,
        "One value of a protocol that describes itself, at its address: protocol, step, item, try; the operation protocols says "
            + "which there are.",
        () => ObservationJson.Default.ObservationBody,
        (b, r) => Words(b)
    )
    {
        NumbersBeside = Beside.Observation,
    };

    private static string Words(ObservationBody b) =>
        $"{b.Protocol.Words()}, "
        + $"{b.Field.Replace('-', ' ')}{(b.Item is null ? string.Empty : " " + b.Item)}{(b.Try > 1 ? $", try {b.Try}" : string.Empty)}: {Words(b.Value)}";

    private static string Words(ObservedValue v) =>
        string.Join(
            ", ",
            new[]
            {
                v.Written is { } written ? $"{written} {v.Unit}".TrimEnd() : null,
                v.Listed is { } listed ? $"{string.Join(", ", listed)} {v.Unit}".TrimEnd() : null,
                v.Day?.ToString("d MMMM yyyy", CultureInfo.InvariantCulture),
                v is { At: { } moment, Until: null } ? moment.ToString("HH:mm", CultureInfo.InvariantCulture) : null,
                v.Choice,
                v.Choices is { } some ? string.Join(" and ", some) : null,
                v.Words,
                v.Yes is { } yes
                    ? yes
                        ? "yes"
                        : "no"
                    : null,
                v.Count is { } count ? Decimals.Text(count) : null,
                v.Counts is { } counts ? string.Join(", ", counts.Select(c => $"{c.Key} {c.Value}")) : null,
                v is { At: { } from, Until: { } until } ? $"{Decimals.Fixed((decimal)(until - from).TotalSeconds, 0)} s" : null,
                v.Name,
                v.Ticked is { } ticked ? $"{ticked.Count} ticked" : null,
                v.Position is { } at ? PlaceText.Words(at) : null,
                v.Photo is null ? null : "photograph",
            }.OfType<string>()
        );
}
