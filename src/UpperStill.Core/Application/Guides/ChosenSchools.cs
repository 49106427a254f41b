using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Guides;

/// <summary>The schools of a programme, in words.</summary>
internal sealed class ChosenSchools(Programme programme)
{
    /// <summary>True where the programme does the matter so.</summary>
    internal bool Is(string setting, string option) => programme.SchoolOf(setting) == option;

    /// <summary>The chosen way in words.</summary>
    internal string Words(string setting) => SchoolBook.Find(setting)!.Options.First(o => o.Code == programme.SchoolOf(setting)).Words;

    /// <summary>A line to do with the reason of its school.</summary>
    internal static GuideLine Line(string setting, string words) => new(words, SchoolBook.Find(setting)!.Why);
}
