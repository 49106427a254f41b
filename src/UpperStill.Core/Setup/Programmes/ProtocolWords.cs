using UpperStill.Core.Setup.Composed;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>Protocols in words.</summary>
public static class ProtocolWords
{
    /// <summary>As it stands in a sentence.</summary>
    public static string Words(this Protocol protocol) =>
        protocol.Code switch
        {
            "profile" => "the profile",
            "seawater" => "the seawater bottle",
            var code => Bare(code).Replace('-', ' '),
        };

    // Of a group’s own the name alone is said.
    private static string Bare(string code) =>
        code.StartsWith(ComposedCodes.Prefix, StringComparison.Ordinal) ? code[ComposedCodes.Prefix.Length..] : code;
}
