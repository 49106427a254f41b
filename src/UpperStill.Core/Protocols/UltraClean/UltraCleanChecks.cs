using System.Globalization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Record.Described;
using static UpperStill.Core.Protocols.UltraClean.UltraCleanFields;

namespace UpperStill.Core.Protocols.UltraClean;

/// <summary>Notice, day, order and hands of ultra-clean water.</summary>
internal static class UltraCleanChecks
{
    internal static void Of(ProtocolRun run)
    {
        var once = run.Once;
        Days(run, once);
        if (once[Waded] == "yes")
        {
            once.Find(
                UltraCleanFindings.OrderBroken,
                Waded,
                ("at", once[WadedAt] is { } at ? $" at {at.ToString("HH:mm", CultureInfo.InvariantCulture)}" : string.Empty)
            );
            if (once[WadedAt] is { } since)
            {
                run.Clock("Since somebody waded", since, null, $"waded at {since.ToString("HH:mm", CultureInfo.InvariantCulture)}");
            }
        }

        foreach (var bottle in run.Every(Water))
        {
            if (bottle[Broken] is { } broken)
            {
                var open = bottle.Has(Rinses) || bottle.Has(Bags);
                bottle.Fail(
                    UltraCleanFindings.Broken,
                    Broken,
                    (
                        "what",
                        broken switch
                        {
                            "outer-bag" => "the outer bag was touched",
                            "boat" => "boat or clothes were touched",
                            "phone" => "the phone was touched",
                            "bag-open" => "a bag was left open",
                            _ => "a glove tore",
                        }
                    ),
                    ("act", open ? "New gloves; a new bottle: it was open." : "New gloves.")
                );
            }

            if (bottle[Sediment] == true)
            {
                bottle.Fail(CommonFindings.SampleHasSediment, Sediment, ("what", "Sediment is"));
            }

            if (bottle[Capped] == "in-air" && run.Programme.Chooses(UltraCleanProtocol.Cap, "under-water"))
            {
                bottle.Find(CommonFindings.CapInAir, Capped);
            }
        }
    }

    private static void Days(ProtocolRun run, Attempt once)
    {
        if (run.Draft.Day is not { } day)
        {
            return;
        }

        if (once[UltraCleanFields.Told] is { } told)
        {
            var notice = day.DayNumber - told.DayNumber;
            run.Derive(new SheetDerived("notice", "Notice", $"{notice} days", notice, "d"));
            if (notice < run.Programme.Of(UltraCleanProtocol.Notice))
            {
                once.Find(UltraCleanFindings.NoticeShort, UltraCleanFields.Told, ("days", Decimals.Text(notice)));
            }
        }

        if (once[Companion] is { } companion)
        {
            var apart = Math.Abs(day.DayNumber - companion.DayNumber);
            run.Derive(new SheetDerived("companion-days", "From the companion sample", $"{apart} days", apart, "d"));
            if (apart > run.Programme.Of(UltraCleanProtocol.CompanionDays))
            {
                once.Find(UltraCleanFindings.CompanionWindow, Companion, ("days", Decimals.Text(apart)));
            }
        }

        if (!UltraCleanProtocol.Weekdays.Contains(day.DayOfWeek) && once.Has(UltraCleanFields.Notice))
        {
            once.Find(UltraCleanFindings.CannotReach, UltraCleanFields.Notice, ("day", day.ToString("dddd", CultureInfo.InvariantCulture)));
        }

        if (
            run.Containers.Fills is { Count: > 0 } fills
            && CustodyOptions.HoldHours(run.Programme, run.Containers.Bottles[0].Type) is { } hours
        )
        {
            var until = fills[0].Entry.At.AddHours((double)hours);
            var words = $"ship by {until.ToString("dddd HH:mm", CultureInfo.InvariantCulture)}";
            run.Clock("To the carrier", fills[0].Entry.At, until, words);
            run.Derive(
                new SheetDerived("ship-by", "Ship by", until.ToString("dddd HH:mm", CultureInfo.InvariantCulture), null, string.Empty)
            );
        }
    }
}
