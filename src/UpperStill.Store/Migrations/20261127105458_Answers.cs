using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace UpperStill.Store.Migrations
{
    /// <inheritdoc />
    public partial class Answers : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<bool>(
                name: "SignedOff",
                table: "Values",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<bool>(
                name: "SignedOff",
                table: "Profiles",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<bool>(
                name: "SignedOff",
                table: "Clarities",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.CreateTable(
                name: "Answers",
                columns: table => new
                {
                    Reader = table.Column<string>(type: "TEXT", nullable: false),
                    Subject = table.Column<string>(type: "TEXT", nullable: false),
                    Station = table.Column<string>(type: "TEXT", nullable: false),
                    Mark = table.Column<long>(type: "INTEGER", nullable: false),
                    Rules = table.Column<string>(type: "TEXT", nullable: false),
                    Test = table.Column<string>(type: "TEXT", nullable: true),
                    Definition = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Answers", x => new { x.Reader, x.Subject, x.Station });
                });

            migrationBuilder.CreateTable(
                name: "StationMarks",
                columns: table => new
                {
                    Station = table.Column<string>(type: "TEXT", nullable: false),
                    Mark = table.Column<long>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_StationMarks", x => x.Station);
                });

            // Counted by the database itself, so that no way of writing forgets it. Whoever makes one of these tables anew makes its trigger anew.
            foreach (var (name, when, stations) in new[]
            {
                ("VisitIn", "INSERT ON Visits", "VALUES (NEW.Station, 1)"),
                ("VisitOut", "DELETE ON Visits", "VALUES (OLD.Station, 1)"),
                ("JoinIn", "INSERT ON SeriesJoins", "VALUES (NEW.Station, 1)"),
                ("JoinOut", "DELETE ON SeriesJoins", "VALUES (OLD.Station, 1)"),
                ("StationChanged", "UPDATE ON Stations", "VALUES (NEW.Code, 1)"),
                ("ProgrammeIn", "INSERT ON Programmes", "SELECT Code, 1 FROM Stations WHERE Programme = NEW.Code"),
                ("ProgrammeChanged", "UPDATE ON Programmes", "SELECT Code, 1 FROM Stations WHERE Programme = NEW.Code"),
            })
            {
                migrationBuilder.Sql($"CREATE TRIGGER Marks_{name} AFTER {when} BEGIN INSERT INTO StationMarks (Station, Mark) {stations} ON CONFLICT (Station) DO UPDATE SET Mark = Mark + 1; END;");
            }
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Answers");

            migrationBuilder.DropTable(
                name: "StationMarks");

            migrationBuilder.DropColumn(
                name: "SignedOff",
                table: "Values");

            migrationBuilder.DropColumn(
                name: "SignedOff",
                table: "Profiles");

            migrationBuilder.DropColumn(
                name: "SignedOff",
                table: "Clarities");
        }
    }
}
