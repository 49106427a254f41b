using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Composed;

/// <summary>Whatever a composed protocol says to people.</summary>
internal static class ComposedTexts
{
    /// <summary>Each text, with what a finding on it stands beside.</summary>
    internal static IEnumerable<(string At, string Words)> Of(ComposedProtocol protocol)
    {
        IEnumerable<(string At, string? Words)> all =
        [
            ("protocol", protocol.Title),
            ("protocol", protocol.Purpose),
            ("protocol", protocol.Repeat?.Label),
            .. (protocol.Repeat?.Names ?? []).Concat(protocol.Pack).Select(n => ("protocol", (string?)n)),
            .. protocol.Roles.SelectMany(r => ((string, string?)[])[("protocol", r.Label), ("protocol", r.Touches)]),
            .. protocol.Steps.SelectMany(s => ((string?[])[s.Do, s.Why, s.OwnCaution]).Select(w => ($"step/{s.Code}", w))),
            .. protocol.Fields.SelectMany(f => f.Choices.Append(f.Label).Append(f.Unit).Select(w => ($"field/{f.Code}", w))),
            .. protocol.Containers.SelectMany(
                (c, i) =>
                    ((string?[])[c.Own?.Measures, c.Own?.Container, c.Own?.Fill, c.Own?.Added, .. c.Own?.LabelAlso ?? []]).Select(w =>
                        ($"container/{Decimals.Text(i)}", w)
                    )
            ),
            .. protocol.Sums.Select(s => ($"sum/{s.Code}", (string?)s.Name)),
        ];
        return all.Where(t => t.Words is not null).Select(t => (t.At, t.Words!));
    }
}
