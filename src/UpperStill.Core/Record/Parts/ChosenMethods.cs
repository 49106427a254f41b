using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Parts;

/// <summary>The methods of a programme, in words, for a place.</summary>
internal sealed class ChosenMethods(Programme programme, bool shore)
{
    internal Programme Programme => programme;

    /// <summary>True where nobody goes afloat.</summary>
    internal bool Shore => shore;

    /// <summary>True where the programme does the matter so.</summary>
    internal bool Is(Method method, string option) => programme.Chooses(method, option);

    /// <summary>The code of the chosen way.</summary>
    internal string ChoiceOf(Method method) => programme.ChoiceOf(method);

    /// <summary>The chosen way in words.</summary>
    internal string Words(Method method) => method.Options.First(o => o.Code == programme.ChoiceOf(method)).Words;

    /// <summary>A line to do with the reason of its method.</summary>
    internal static GuideLine Line(Method method, string words) => new(words, method.Why);
}
