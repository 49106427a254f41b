using System.Globalization;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Record.Described;

namespace UpperStill.Core.Protocols.Survey;

/// <summary>The boxes of a survey.</summary>
internal static class SurveyFields
{
    internal static readonly ChoiceField Colour = new(
        "colour",
        "Colour on the white quarter, one step or two neighbours",
        [.. ColourChart.All.Select(s => new FieldChoice(s.Step.ToString(CultureInfo.InvariantCulture), $"{s.Step} {s.Name}"))]
    )
    {
        Many = true,
    };
    internal static readonly YesNoField Murky = new("murky", "It is murky");
    internal static readonly ChoiceField Algae = new(
        "algae",
        "Algae",
        new("1", "1 clear and inviting"),
        new("2", "2 a few specks"),
        new("3", "3 tinted"),
        new("4", "4 green, I would not bathe"),
        new("5", "5 scum, I keep away")
    );
    internal static readonly ChoiceField Recreation = new(
        "recreation",
        "Recreation",
        new("1", "1 nothing spoils it"),
        new("2", "2 a little"),
        new("3", "3 it is less pleasant"),
        new("4", "4 I would rather not"),
        new("5", "5 nobody should")
    );
    internal static readonly ChoiceField Waves = new(
        "waves",
        "Waves",
        new("1", "1 flat"),
        new("2", "2 ripples"),
        new("3", "3 choppy"),
        new("4", "4 white caps")
    )
    {
        Required = false,
    };
    internal static readonly CounterField PeopleAround = new("people", "People around", 0) { Required = false, Asked = false };
    internal static readonly CounterField Boats = new("boats", "Boats around", 0) { Required = false, Asked = false };
    internal static readonly ChoiceField Plants = Much("plants", "Plants at the surface");
    internal static readonly ChoiceField Rubbish = Much("rubbish", "Rubbish");
    internal static readonly WordsField Management = new("management", "What is done to the water") { Required = false };

    private static ChoiceField Much(string code, string label) =>
        new(code, label, new FieldChoice("none", "none"), new FieldChoice("little", "little"), new FieldChoice("much", "much"))
        {
            Required = false,
        };
}
