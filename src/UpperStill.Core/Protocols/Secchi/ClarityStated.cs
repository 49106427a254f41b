using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>Body of the entry <c>clarity-stated</c>: a clarity that somebody worked out before, without its marks.</summary>
/// <param name="Depth">As it was written.</param>
/// <param name="OnBottom">True where the disc lay on the bottom in sight: the clarity is greater.</param>
/// <param name="Method">How it was read, in the words of whoever wrote it.</param>
public sealed record ClarityStatedBody(WrittenLength Depth, bool OnBottom = false, string? Method = null);

/// <summary>A clarity that stands as it was stated: its marks are not known, and so nothing of it can be checked.</summary>
internal static class ClarityStated
{
    internal const string Method = "as an old table states it";

    internal static ClarityResult Work(ClarityStatedBody body, Guid entry, ReaderUnit reader)
    {
        var (length, problem) = body.Depth.Read();
        if (length is not { } depth)
        {
            return new ClarityResult([], 0, [problem!.On(Beside.Clarity, entry)]);
        }

        var text = (body.OnBottom ? "> " : string.Empty) + LengthText.Show(depth, reader);
        return new ClarityResult(
            [],
            0,
            [
                Finding
                    .Note(
                        "clarity-stated",
                        $"{text} as it was stated.",
                        "Its marks are not known: the mean cannot be worked out again.",
                        "It stands beside other methods as a method of its own."
                    )
                    .On(Beside.Clarity, entry),
            ],
            MeanM: body.OnBottom ? null : Decimals.Published(depth.Metres),
            ClarityM: Decimals.Published(depth.Metres),
            Text: text,
            Censored: body.OnBottom,
            Working: new Working(
                "Clarity",
                [new WorkingInput("stated", LengthText.Write(depth), entry)],
                ["Taken as it was written; no marks to work from."],
                "A stated value is never rounded or corrected.",
                ClarityRule.Source
            )
        );
    }
}
