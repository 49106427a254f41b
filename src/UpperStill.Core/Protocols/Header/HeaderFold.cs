using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Header;

/// <summary>When and under which rules a visit was made.</summary>
internal static class HeaderFold
{
    /// <summary>Folds the beginning of a visit.</summary>
    internal static void Fold(SheetDraft draft)
    {
        draft.Line = draft.Context.Lines.FirstOrDefault(l => l.Code == draft.Start?.Body.Line);
        if (draft.Start is not { } start)
        {
            return;
        }

        var hours = draft.Context.Programme.Hours;
        var time = TimeOnly.FromDateTime(start.Entry.At.DateTime);
        if ((time < hours.From || time > hours.Until) && !draft.Context.Programme.Chooses(HeaderOptions.HoursRule, "none"))
        {
            draft.Findings.Add(
                Finding.Check(
                    "hours-outside",
                    $"{Clock(time)} is outside {Clock(hours.From)}–{Clock(hours.Until)}.",
                    "Readings at other hours differ by light alone.",
                    "Keep it with a reason, or come at the right time."
                ) with
                {
                    Beside = Beside.Header,
                    About = [start.Entry.Id],
                }
            );
        }

        if (SheetTimes.Contradiction(start.Entry.At, start.Body.Half) is { } contradiction)
        {
            draft.Findings.Add(contradiction.On(Beside.Header, start.Entry.Id));
        }

        if (start.Body.TimeEstimated == true)
        {
            draft.Findings.Add(
                Finding
                    .Note(
                        "time-estimated",
                        $"{Clock(time)} is an estimate.",
                        "Holding times and the trend count from it.",
                        "It stays marked so."
                    )
                    .On(Beside.Header, start.Entry.Id)
            );
        }

        if (draft.Latest(VisitKinds.VisitMoved) is { } moved)
        {
            draft.Findings.Add(
                Finding
                    .Note(
                        "visit-moved",
                        $"Begun at {start.Body.Station}, moved to {moved.Body.Station} by {moved.Entry.By} ({moved.Entry.Why}).",
                        "It is judged and compared as that station’s.",
                        "Its bottles keep the labels they were given."
                    )
                    .On(Beside.Header, moved.Entry.Id)
            );
        }

        CopiedLater(draft);
        if (draft.Line is { } line && !line.CheckedIn(start.Entry.At.Year))
        {
            draft.Findings.Add(
                Finding.Check(
                    "line-unchecked",
                    $"{line.Code} has not been taped this season.",
                    "Ropes stretch and a whole season reads short.",
                    "Tape it ashore; readings are corrected afterwards."
                ) with
                {
                    Beside = Beside.Header,
                    About = [start.Entry.Id],
                }
            );
        }

        ClockOff(draft);
    }

    // The id of an entry says when it was written down here, the entry when it was read.
    private static void CopiedLater(SheetDraft draft)
    {
        var limit = draft.Context.Programme.Of(HeaderOptions.CopiedLater);
        var late = draft.Imported
            ? []
            : draft
                .Log.Standing.Select(e => (Entry: e, Late: WrittenAt(e.Id) - e.At))
                .Where(e => (decimal)e.Late.TotalMinutes > limit)
                .ToList();
        if (late.Count > 0)
        {
            var longest = late.Max(e => e.Late);
            draft.Findings.Add(
                Finding
                    .Note(
                        "copied-later",
                        $"{(late.Count == 1 ? "1 entry" : $"{late.Count} entries")} copied {Span((long)longest.TotalSeconds)} later.",
                        "A copy may slip.",
                        "Both times are kept."
                    )
                    .On(Beside.Header, late.Select(e => e.Entry.Id))
            );
        }
    }

    private static DateTimeOffset WrittenAt(Guid id)
    {
        Span<byte> bytes = stackalloc byte[16];
        id.TryWriteBytes(bytes, bigEndian: true, out _);
        return DateTimeOffset.FromUnixTimeMilliseconds((long)(System.Buffers.Binary.BinaryPrimitives.ReadUInt64BigEndian(bytes) >> 16));
    }

    private static void ClockOff(SheetDraft draft)
    {
        var limit = draft.Context.Programme.Checks.ClockOffS;
        foreach (
            var device in draft
                .Log.All.Where(e => e.Receipt is { } r && (r.ClockOffS > limit || r.ClockOffS < -limit))
                .GroupBy(e => e.Device)
        )
        {
            var off = device.MaxBy(e => Math.Abs((decimal)e.Receipt!.ClockOffS))!.Receipt!.ClockOffS;
            draft.Findings.Add(
                Finding.Check(
                    "clock-off",
                    $"The clock of {device.Key} was {Span(off)} {(off > 0 ? "ahead" : "behind")}.",
                    "Times and days of its readings are off by that.",
                    "Set the device’s clock; say on the visit when the readings were made."
                ) with
                {
                    Beside = Beside.Header,
                    About = [.. device.Select(e => e.Id)],
                }
            );
        }
    }

    private static string Clock(TimeOnly time) => time.ToString("HH:mm", CultureInfo.InvariantCulture);

    private static string Span(long seconds)
    {
        var span = Math.Abs((decimal)seconds);
        return span < 7200 ? $"{Decimals.Fixed(span / 60, 0)} min"
            : span < 172_800 ? $"{Decimals.Fixed(span / 3600, 0)} h"
            : $"{Decimals.Fixed(span / 86_400, 0)} days";
    }
}
