using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Described;
using static UpperStill.Core.Protocols.NetTow.NetTowFields;

namespace UpperStill.Core.Protocols.NetTow;

/// <summary>From where a tow begins, as the programme has it: proposed, never answered for anybody.</summary>
internal static class TowProposals
{
    internal static void Of(ProtocolRun run)
    {
        var (draft, programme) = (run.Draft, run.Draft.Context.Programme);
        var clearance = programme.Of(NetTowOptions.Clearance);
        var bottom = WaterDepth.M(draft) is { } water && water > clearance ? water - clearance : (decimal?)null;
        switch (programme.ChoiceOf(NetTowOptions.From))
        {
            case "mark":
                Propose(
                    Math.Min(programme.Of(NetTowOptions.Mark), bottom ?? decimal.MaxValue),
                    bottom < programme.Of(NetTowOptions.Mark)
                        ? $"the fixed mark would drag; {draft.Show(clearance)} off the bottom"
                        : "the programme’s fixed mark"
                );
                break;
            case "thermocline" when draft.Section<SheetProfile>()?.Thermocline?.DepthM is { } thermocline:
                Propose(thermocline, "today’s thermocline");
                break;
            case "thermocline":
                if (run.Tries(NetTowProtocol.Tow, "1") is [.., var tow] && tow.Has(Direction) && tow[Direction] != "horizontal")
                {
                    tow.Find(NetTowFindings.NoThermocline, tow.Has(From) ? From : Direction, ("clearance", draft.Show(clearance)));
                }

                Propose(bottom, $"no thermocline today: {draft.Show(clearance)} off the bottom");
                break;
            default:
                Propose(bottom, $"{draft.Show(clearance)} off the bottom");
                break;
        }

        void Propose(decimal? metres, string why)
        {
            if (metres is { } depth)
            {
                run.Propose(From, new ObservedValue { Written = Decimals.Text(decimal.Round(depth, 1)), Unit = "m" }, why);
            }
        }
    }
}
