namespace UpperStill.Core.Basis.Findings;

/// <summary>A finding on something that is being set up, with the field it stands beside.</summary>
/// <param name="Field">The field's name as in JSON, for example <c>position</c>.</param>
/// <param name="Finding">What was seen, why it matters, what to do; a stop keeps it from being saved.</param>
public sealed record FieldFinding(string Field, Finding Finding);

/// <summary>Puts findings beside fields.</summary>
public static class FieldFindings
{
    /// <summary>Beside a field.</summary>
    public static FieldFinding At(this Finding finding, string field) => new(field, finding);

    /// <summary>True where nothing keeps it from being saved.</summary>
    public static bool MaySave(this IEnumerable<FieldFinding> findings) => findings.All(f => f.Finding.Level != FindingLevel.Stop);
}
