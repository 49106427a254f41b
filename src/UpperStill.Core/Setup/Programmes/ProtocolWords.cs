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
            var code => code.Replace('-', ' '),
        };
}
