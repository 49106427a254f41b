using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Application.Outings;

/// <summary>What can hurt on a whole outing.</summary>
internal static class OutingCautions
{
    internal static IReadOnlyList<string> For(bool shore, IReadOnlyList<OutingStop> stops) =>
        [
            Caution.Of(shore),
            .. stops.SelectMany(s => s.Samples).Select(s => s.Type.Caution).OfType<string>().Distinct(),
            "Clean, drain and dry all gear before another water: hitch-hikers move on wet gear.",
            Caution.Law,
        ];
}
