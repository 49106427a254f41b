namespace UpperStill.Core.Setup.Programmes;

/// <summary>Protocols in words.</summary>
public static class ProtocolWords
{
    /// <summary>As it stands in a sentence.</summary>
    public static string Words(this Protocol protocol) => protocol switch
    {
        Protocol.Clarity => "clarity",
        Protocol.Chlorophyll => "chlorophyll",
        Protocol.Phosphorus => "phosphorus",
        Protocol.Profile => "the profile",
        Protocol.Seawater => "the seawater bottle",
        _ => throw new ArgumentOutOfRangeException(nameof(protocol)),
    };
}
