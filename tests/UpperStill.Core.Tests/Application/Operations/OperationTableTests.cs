using System.Text;
using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Tests.Application.Operations;

public class OperationTableTests
{
    [Fact]
    public void The_worked_example_through_the_door()
    {
        var answer = Invoke("length", """{"written":"12 9","unit":"ft-in"}""");

        Assert.Equal("""{"depthM":3.8862,"text":"12 ft 9 in"}""", answer);
    }

    [Fact]
    public void Choices_are_written_in_the_words_of_the_field()
    {
        var answer = Invoke(
            "clarity",
            """
            {"settings":{"endPoint":"mean","readings":1,"observers":"same","roundTo":"0.1-m"},
             "marks":[{"lowering":1,"event":"disappeared","depth":{"written":"3.9","unit":"m"}},{"lowering":1,"event":"reappeared","depth":{"written":"3.8","unit":"m"}}]}
            """
        );

        using var json = JsonDocument.Parse(answer);
        Assert.Equal("3.9 m", json.RootElement.GetProperty("text").GetString());
    }

    [Theory]
    [InlineData("{")]
    [InlineData("null")]
    [InlineData("""{"unit":"ft-in"}""")]
    [InlineData("""{"written":"3","unit":"fathom"}""")]
    public void A_request_of_another_shape_is_refused(string request) => Assert.Throws<JsonException>(() => Invoke("length", request));

    [Fact]
    public void Every_operation_says_what_it_does_in_one_line() =>
        Assert.All(OperationTable.All.Values, o => Assert.Matches(@"^[A-Z][^\n]{20,160}\.$", o.Description));

    private static string Invoke(string name, string json) =>
        Encoding.UTF8.GetString(OperationTable.All[name].Invoke(Encoding.UTF8.GetBytes(json)));

    [Fact]
    public void Whatever_a_request_or_a_body_is_made_of_can_be_read()
    {
        HashSet<(JsonSerializerOptions, Type)> seen = [];
        foreach (var root in OperationTable.All.Values.Select(o => o.Request).Concat(EntryKinds.All.Values.Select(k => k.Body)))
        {
            Reads(root.Type, root.Options);
        }

        void Reads(Type type, JsonSerializerOptions shapes)
        {
            var part = Nullable.GetUnderlyingType(type) ?? type;
            if (!seen.Add((shapes, part)) || !shapes.TryGetTypeInfo(part, out var info))
            {
                return;
            }

            if (info.ElementType is { } element)
            {
                Reads(element, shapes);
            }
            else if (info.Kind == JsonTypeInfoKind.Object && part != typeof(EmptyBody))
            {
                Assert.True(info.Properties.Count > 0, $"{part.Name} can only be written");
                foreach (var property in info.Properties)
                {
                    Reads(property.PropertyType, shapes);
                }
            }
        }
    }
}
