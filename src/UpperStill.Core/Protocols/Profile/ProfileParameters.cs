using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Stratification;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>What a profile gives to the record beside its levels.</summary>
internal static class ProfileParameters
{
    internal static IReadOnlyList<ParameterDescription> All { get; } =
    [
        new()
        {
            Code = Parameter.BottomOxygen,
            Rank = 40,
            Name = "oxygen at the bottom",
            Unit = "mg/L",
            Better = BetterWhen.Higher,
            AskedAfter = true,
            Pictured = true,
            Protocol = Protocol.Profile,
            Rising = "The deep water is gaining oxygen: {0} more each decade.",
            Falling = "The deep water is losing oxygen: {0} less each decade.",
        },
        new()
        {
            Code = Parameter.SurfaceTemperature,
            Rank = 40,
            Name = "temperature at the surface",
            Unit = "°C",
            AskedPerDecade = 0.5m,
            Protocol = Protocol.Profile,
            Rising = "The surface is warming: {0} more each decade.",
            Falling = "The surface is cooling: {0} less each decade.",
        },
        new()
        {
            Code = Parameter.Thermocline,
            Rank = 40,
            Name = "depth of the thermocline",
            Unit = "m",
            Hanging = true,
            Protocol = Protocol.Profile,
            Rising = "The warm layer reaches deeper: {0} more each decade.",
            Falling = "The warm layer grows thinner: {0} less each decade.",
        },
        new()
        {
            Code = Parameter.Stability,
            Rank = 40,
            Name = "stability",
            Unit = "J/m²",
            Decimals = 0,
            AskedPerDecade = 50,
            Protocol = Protocol.Profile,
            Rising = "The layers are harder to mix: {0} more each decade.",
            Falling = "The layers are easier to mix: {0} less each decade.",
        },
    ];

    /// <summary>The numbers of the visit’s profile; null where it has fewer than two levels that count.</summary>
    internal static ProfileNumbers? Numbers(SheetDraft draft)
    {
        if (draft.Section<ProfileNumbers>() is { } known)
        {
            return known;
        }

        var numbers = ProfileNumbers.Of(
            new ProfileRequest(
                [
                    .. (draft.Section<SheetProfile>()?.Levels ?? [])
                        .Where(l => l.CountedC is not null)
                        .Select(l => new ProfileLevel(l.DepthM, l.CountedC!.Value, l.CountedMgL, l.Salinity ?? 0)),
                ],
                draft.Context.Water?.Hypsography
            )
        );
        if (numbers is not null)
        {
            draft.Add(numbers);
        }

        return numbers;
    }

    /// <summary>True where no open stop stands on the profile.</summary>
    internal static bool Usable(SheetDraft draft) => draft.Free(Beside.Profile, Beside.Sounding);

    // By the method of the programme; a thermocline found by eye is no number.
    private static double? Thermocline(SheetDraft draft, ProfileNumbers numbers) =>
        ProfileOptions.ByEye(draft.Context.Programme) ? null
        : ProfileOptions.Layers(draft.Context.Programme) == LayersBy.Degree ? (double?)draft.Section<SheetProfile>()?.Thermocline?.DepthM
        : numbers.ThermoclineM;

    internal static IEnumerable<Reading> Readings(SheetDraft draft)
    {
        if (Numbers(draft) is not { } numbers)
        {
            return [];
        }

        var usable = Usable(draft);
        (Parameter Parameter, double? Value)[] given =
        [
            (Parameter.SurfaceTemperature, numbers.SurfaceC),
            (Parameter.BottomOxygen, numbers.BottomOxygenMgL),
            (Parameter.Thermocline, Thermocline(draft, numbers)),
            (Parameter.Stability, numbers.StabilityJM2),
        ];
        return given
            .Where(g => g.Value is not null)
            .Select(g => new Reading
            {
                Protocol = Protocol.Profile,
                Parameter = g.Parameter.Code,
                Value = decimal.Round((decimal)g.Value!.Value, 3),
                Unit = All.First(p => p.Code == g.Parameter).Unit,
                Usable = usable,
            });
    }
}
