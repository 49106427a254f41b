using System.Text.Json;
using UpperStill.Core.Protocols.Review;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.People;

namespace UpperStill.Core.Tests.Protocols.Review;

/// <summary>Who may vouch for a visit.</summary>
public sealed class VouchingTests
{
    private static readonly Guid Asa = Guid.CreateVersion7();
    private static readonly Guid Maren = Guid.CreateVersion7();
    private static readonly Guid Ilse = Guid.CreateVersion7();
    private static readonly Guid Crew = Guid.CreateVersion7();
    private static readonly IReadOnlyList<PersonNames> People =
    [
        new(Asa, ["Asa Lind", "A. Lind"]),
        new(Maren, ["Maren"]),
        new(Ilse, ["Ilse"]),
    ];

    public static TheoryData<string, Guid?, string, bool> Observers =>
        new()
        {
            { "by her id, in another spelling", Asa, "Aasa", true },
            { "an entry of before people had ids, by her name", null, " asa  lind ", true },
            { "by a name that a coordinator knows to be hers", null, "A. Lind", true },
            { "by an id that a device made, which did not know her account", Crew, "Asa Lind", true },
            { "somebody else without an account", Crew, "Jonas", false },
            { "another account of the same name", Ilse, "Asa Lind", false },
            { "somebody else by name", null, "Jonas", false },
        };

    [Theory]
    [MemberData(nameof(Observers))]
    public void Nobody_vouches_for_what_they_read(string how, Guid? id, string name, bool own) =>
        Assert.Equal(
            (how, own),
            (how, IsOwn(new NamedPerson(Asa, "Asa Lind"), [name], id is { } given ? [given] : null, new NamedPerson(Maren, "Maren")))
        );

    [Fact]
    public void Nor_for_what_they_wrote_down()
    {
        Assert.True(IsOwn(new NamedPerson(Maren, "Maren Otter"), ["Jonas"], null, new NamedPerson(Maren, "Maren")));
        Assert.True(IsOwn(new NamedPerson(Maren, "Maren"), ["Jonas"], null, new NamedPerson(null, "maren")));
        Assert.False(IsOwn(new NamedPerson(Ilse, "Ilse"), ["Jonas"], null, new NamedPerson(Maren, "Ilse")));
    }

    [Fact]
    public void Where_nobody_is_known_names_tell_apart() =>
        Assert.True(
            Vouching.IsOwn(
                new NamedPerson(null, "Asa"),
                Start(["asa"], null, new NamedPerson(null, "Maren")),
                new VisitStartedBody("S", "p", 1, ["asa"]),
                new KnownPeople(null)
            )
        );

    [Fact]
    public void Fewer_ids_than_observers_leave_the_rest_to_their_names() =>
        Assert.Equal(
            [new NamedPerson(Asa, "Asa"), new NamedPerson(null, "Jonas")],
            new VisitStartedBody("S", "p", 1, ["Asa", "Jonas"]) { ObserverIds = [Asa] }.People
        );

    [Fact]
    public void A_name_finds_the_first_who_bears_it_and_no_name_finds_nobody() =>
        Assert.Equal(
            [Asa, null, Maren],
            Core.Setup.People.Crew.Find(
                new CrewRequest(["a. LIND", "Nobody Here", " Maren "], [.. People, new PersonNames(Ilse, ["Maren"])])
            ).Ids
        );

    private static bool IsOwn(NamedPerson who, string[] observers, Guid[]? ids, NamedPerson by)
    {
        var start = Start(observers, ids, by);
        return Vouching.IsOwn(who, start, VisitKinds.VisitStarted.Read(start.Body)!, new KnownPeople(People));
    }

    private static Entry Start(string[] observers, Guid[]? ids, NamedPerson by) =>
        new(
            Guid.CreateVersion7(),
            Guid.CreateVersion7(),
            VisitKinds.VisitStarted.Name,
            1,
            JsonSerializer.SerializeToElement(
                new VisitStartedBody("HAR-1", "p", 1, observers) { ObserverIds = ids },
                VisitJson.Default.VisitStartedBody
            ),
            DateTimeOffset.UnixEpoch,
            by.Name,
            "phone"
        )
        {
            Person = by.Id,
        };
}
