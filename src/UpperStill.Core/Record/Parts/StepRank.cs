namespace UpperStill.Core.Record.Parts;

/// <summary>The order of work: clean water before anything that stirs, what gives a depth before what is taken there.</summary>
internal static class StepRank
{
    internal const int Arrive = 0;
    internal const int Sounding = 5;
    internal const int UltraClean = 10;
    internal const int ClarityFirst = 15;
    internal const int ByHand = 20;
    internal const int Clarity = 30;

    /// <summary>What people see, after the disc.</summary>
    internal const int Survey = 35;
    internal const int Profile = 40;
    internal const int Bottles = 50;
    internal const int ClarityLast = 55;
    internal const int Composite = 60;
    internal const int Net = 70;

    /// <summary>It digs into the bottom.</summary>
    internal const int Grab = 80;
    internal const int Rake = 85;
    internal const int Streams = 90;

    /// <summary>After everything else.</summary>
    internal const int Audit = 99;

    /// <summary>The list of what was filled, on paper.</summary>
    internal const int Samples = 900;

    internal const int Leave = 1000;

    /// <summary>Ashore, later.</summary>
    internal const int Bench = 1100;
}
