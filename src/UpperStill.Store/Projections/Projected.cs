using System.Text.Json;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Labels;

namespace UpperStill.Store.Projections;

/// <summary>The rows that a visit has in the record, made anew from its fold.</summary>
internal sealed record Projected(
    VisitRow Visit,
    IReadOnlyList<ReadingRow> Readings,
    IReadOnlyList<LevelRow> Levels,
    IReadOnlyList<SampleRow> Samples,
    ProfileRow? Profile,
    IReadOnlyList<FindingRow> Findings
)
{
    internal ReadingRow? Clarity => ClarityOf(Readings);

    internal static ReadingRow? ClarityOf(IEnumerable<ReadingRow> readings) =>
        readings.FirstOrDefault(r => r.Parameter == Parameter.Clarity.Code);

    /// <summary>Every row of a visit that was folded.</summary>
    internal static Projected Of(long lastSequence, Folded folded)
    {
        var (sheet, context, samples, review) = folded;
        var visit = sheet.Visit;
        var day = DateOnly.FromDateTime(sheet.StartedAt!.Value.DateTime);
        var row = new VisitRow
        {
            Visit = visit,
            Station = context.Station.Code,
            Day = day,
            StartedAt = sheet.StartedAt.Value,
            Closed = sheet.State == VisitState.Closed,
            LastSequence = lastSequence,
            Took = string.Join(',', sheet.Took),
            CompositeFromM = (double?)sheet.Tries.Worked?.DepthM,
            CompositeRaiseS = (double?)sheet.Tries.Worked?.RaiseS,
            Observers = string.Join(", ", sheet.Observers),
            Review = review.State.ToString(),
            FieldSigned = review.FieldSigned,
            ResultsSigned = review.ResultsSigned,
            OpenFindings = review.Findings.Count(f => f.Finding.Kept is null),
            OpenQuestions = review.Questions.Count(q => q.Answer is null),
        };
        var record = sheet.Record!.Value;
        List<ReadingRow> readings =
        [
            .. record
                .Readings.Concat(samples.Readings)
                .DistinctBy(r => (r.Protocol, r.Parameter, r.Item))
                .Select(r => new ReadingRow
                {
                    Visit = visit,
                    Protocol = r.Protocol?.Code ?? string.Empty,
                    Parameter = r.Parameter,
                    Item = r.Item,
                    Station = context.Station.Code,
                    Day = day,
                    Depth = r.Depth,
                    Value = r.Value,
                    Unit = r.Unit,
                    Censored = r.Censored,
                    Usable = r.Usable,
                    OfLaboratory = r.OfLaboratory,
                    SignedOff = r.OfLaboratory ? review.ResultsSigned : review.FieldSigned,
                    Method = r.Method,
                    Text = r.Text,
                    Entry = r.Entry,
                }),
        ];
        List<LevelRow> levels =
        [
            .. (sheet.Profile?.Levels ?? [])
                .Where(l => !l.Marked)
                .Select(
                    (l, i) =>
                        new LevelRow
                        {
                            Visit = visit,
                            Ordinal = i,
                            Station = context.Station.Code,
                            Day = day,
                            DepthM = (double)l.DepthM,
                            TemperatureC = (double?)l.CountedC,
                            OxygenMgL = (double?)l.CountedMgL,
                        }
                ),
        ];
        List<SampleRow> held =
        [
            .. samples.Samples.Select(s => new SampleRow
            {
                Visit = visit,
                Number = s.Number,
                Body = SampleNumber.Body(s.Number).ToUpperInvariant(),
                Station = s.Station,
                Water = s.WaterCode,
                Day = day,
                State = s.State.ToString(),
                Open = !s.State.Ended(),
                Manifest = s.Manifest,
                Definition = JsonSerializer.Serialize(s, SetupJson.Default.LedgerSample),
            }),
        ];
        var profile = record.Profile is not { } numbers
            ? null
            : new ProfileRow
            {
                Visit = visit,
                Station = context.Station.Code,
                Day = day,
                Usable = record.ProfileUsable,
                SurfaceC = numbers.SurfaceC,
                BottomC = numbers.BottomC,
                ThermoclineM = numbers.ThermoclineM,
                BottomOxygenMgL = numbers.BottomOxygenMgL,
                BottomM = numbers.BottomM,
                HypoxicM = numbers.HypoxicM,
                AnoxicM = numbers.AnoxicM,
                StabilityJM2 = numbers.StabilityJM2,
                AnoxicArea = numbers.AnoxicArea,
                DeepOxygenMgL = numbers.DeepOxygenMgL,
                DeepThicknessM = numbers.DeepThicknessM,
                SignedOff = review.FieldSigned,
            };

        List<FindingRow> findings =
        [
            .. sheet
                .Findings.Concat(samples.Findings)
                .Concat(samples.Samples.SelectMany(s => s.Findings))
                .Select(
                    (f, i) =>
                        new FindingRow
                        {
                            Visit = visit,
                            Ordinal = i,
                            Code = f.Code,
                            Level = f.Level.ToString(),
                            Seen = f.Seen,
                            Kept = f.Kept,
                        }
                ),
        ];
        return new Projected(row, readings, levels, held, profile, findings);
    }
}
