using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Programmes;
using static UpperStill.Core.Protocols.Mesh.MeshFields;

namespace UpperStill.Core.Protocols.Mesh;

/// <summary>How deep the weighted bottle goes: to the clarity, never nearer to the bottom than the clearance, at the nearest
/// mark.</summary>
internal static class MeshDepth
{
    internal static void Of(ProtocolRun run)
    {
        var draft = run.Draft;
        var clarity = draft.Section<SheetClarity>()?.Result;
        var result = CompositeRule.Work(
            new CompositeRequest(
                new CompositeSettings(
                    CompositeDepthRule.Factor,
                    1,
                    Length.IsFootBased(draft.Native) ? new WrittenLength("3", LengthUnit.Foot) : new WrittenLength("1", LengthUnit.Metre),
                    CompositeMethod.WeightedBottle
                ),
                clarity is { Censored: false } ? clarity.MeanM : null,
                clarity?.Censored == true,
                draft.Section<Sounded>()?.Read.Body.Depth,
                draft.Line,
                draft.Reader,
                draft.Day
            )
        );
        var lowering = run.Counts(MeshFields.Lowering, "1");
        var asked = lowering ?? run.Once;
        foreach (var finding in result.Findings.Where(_ => lowering is not null || run.Once.Has(JarRinses)))
        {
            run.Find(asked, finding with { Beside = Beside.Observation }, LineOut);
        }

        run.Derive(
            new SheetDerived(
                "mesh-depth",
                "Lower the bottle to",
                result.Text ?? "waits for clarity and sounding",
                result.MarkM,
                "m",
                Working: result.Working
            )
        );
        if (result.Mark is { } mark)
        {
            run.Propose(
                LineOut,
                new ObservedValue { Written = mark.Written, Unit = Code(mark.Unit ?? draft.Native) },
                "the nearest mark",
                "1"
            );
        }

        if (lowering?[LineOut] is not { } taken)
        {
            return;
        }

        var depth = draft.Line?.CorrectionOn(draft.Day ?? DateOnly.MaxValue)?.TrueM(taken.Metres) ?? taken.Metres;
        run.Span(new ColumnSpan(0, Decimals.Published(depth), "through the mesh"));
        run.SamplesAreOf($"0 to {draft.Show(taken)}, through the mesh");
        if (result.MarkM is { } target && Math.Abs(depth - target) > run.Programme.Of(CompositeOptions.CompositeDepthDiffers))
        {
            lowering.Find(MeshFindings.DepthDiffers, LineOut, ("taken", draft.Show(taken)), ("target", draft.Show(target)));
        }
    }

    private static string Code(LengthUnit unit) =>
        unit switch
        {
            LengthUnit.Metre => "m",
            LengthUnit.Foot => "ft",
            LengthUnit.FootInch => "ft-in",
            LengthUnit.Inch => "in",
            _ => "cm",
        };
}
