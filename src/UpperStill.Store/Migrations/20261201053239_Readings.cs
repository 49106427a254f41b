using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace UpperStill.Store.Migrations
{
    /// <inheritdoc />
    public partial class Readings : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Clarities");

            migrationBuilder.DropTable(
                name: "Values");

            migrationBuilder.CreateTable(
                name: "Readings",
                columns: table => new
                {
                    Visit = table.Column<Guid>(type: "TEXT", nullable: false),
                    Protocol = table.Column<string>(type: "TEXT", nullable: false),
                    Parameter = table.Column<string>(type: "TEXT", nullable: false),
                    Item = table.Column<string>(type: "TEXT", nullable: false),
                    Station = table.Column<string>(type: "TEXT", nullable: false),
                    Day = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Depth = table.Column<string>(type: "TEXT", nullable: false),
                    Value = table.Column<decimal>(type: "TEXT", nullable: false),
                    Unit = table.Column<string>(type: "TEXT", nullable: false),
                    Censored = table.Column<string>(type: "TEXT", nullable: false),
                    Usable = table.Column<bool>(type: "INTEGER", nullable: false),
                    OfLaboratory = table.Column<bool>(type: "INTEGER", nullable: false),
                    SignedOff = table.Column<bool>(type: "INTEGER", nullable: false),
                    Method = table.Column<string>(type: "TEXT", nullable: true),
                    Text = table.Column<string>(type: "TEXT", nullable: true),
                    Entry = table.Column<Guid>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Readings", x => new { x.Visit, x.Protocol, x.Parameter, x.Item });
                });

            migrationBuilder.CreateIndex(
                name: "IX_Readings_Station_Parameter_Day",
                table: "Readings",
                columns: new[] { "Station", "Parameter", "Day" });

            // What people entered keeps its subject, now by its code; what was worked out is worked out anew.
            foreach (var (was, code) in new[]
            {
                ("Clarity", "clarity"), ("Chlorophyll", "chlorophyll"), ("Phosphorus", "phosphorus"), ("BottomOxygen", "bottom-oxygen"), ("SurfaceTemperature", "surface-temperature"),
                ("Thermocline", "thermocline"), ("Stability", "stability"), ("Value", "value"),
            })
            {
                migrationBuilder.Sql($"UPDATE SeriesJoins SET Subject = '{code}' WHERE Subject = '{was}';");
                migrationBuilder.Sql($"UPDATE Benchmarks SET Subject = '{code}' WHERE Subject = '{was}';");
            }

            migrationBuilder.Sql("DELETE FROM Answers;");

            // Levels stay wide, because a map of depth and time reads thousands of them; whoever wants one number a row asks here.
            migrationBuilder.Sql("""
                CREATE VIEW Record AS
                SELECT Visit, Station, Day, Protocol, Parameter, Item, NULL AS DepthM, Depth, Value, Unit, Censored, Usable, OfLaboratory, SignedOff, Method, Text FROM Readings
                UNION ALL
                SELECT l.Visit, l.Station, l.Day, 'profile', 'temperature', 'profile', l.DepthM, '', l.TemperatureC, '°C', 'None', COALESCE(p.Usable, 1), 0, v.FieldSigned, NULL, NULL
                FROM Levels l JOIN Visits v ON v.Visit = l.Visit LEFT JOIN Profiles p ON p.Visit = l.Visit WHERE l.TemperatureC IS NOT NULL
                UNION ALL
                SELECT l.Visit, l.Station, l.Day, 'profile', 'dissolved oxygen', 'profile', l.DepthM, '', l.OxygenMgL, 'mg/L', 'None', COALESCE(p.Usable, 1), 0, v.FieldSigned, NULL, NULL
                FROM Levels l JOIN Visits v ON v.Visit = l.Visit LEFT JOIN Profiles p ON p.Visit = l.Visit WHERE l.OxygenMgL IS NOT NULL;
                """);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.Sql("DROP VIEW Record;");

            migrationBuilder.DropTable(
                name: "Readings");

            migrationBuilder.CreateTable(
                name: "Clarities",
                columns: table => new
                {
                    Visit = table.Column<Guid>(type: "TEXT", nullable: false),
                    Censored = table.Column<bool>(type: "INTEGER", nullable: false),
                    ClarityM = table.Column<decimal>(type: "TEXT", nullable: false),
                    Day = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Method = table.Column<string>(type: "TEXT", nullable: true),
                    SignedOff = table.Column<bool>(type: "INTEGER", nullable: false),
                    Station = table.Column<string>(type: "TEXT", nullable: false),
                    Text = table.Column<string>(type: "TEXT", nullable: false),
                    Usable = table.Column<bool>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Clarities", x => x.Visit);
                });

            migrationBuilder.CreateTable(
                name: "Values",
                columns: table => new
                {
                    Visit = table.Column<Guid>(type: "TEXT", nullable: false),
                    Analyte = table.Column<string>(type: "TEXT", nullable: false),
                    Place = table.Column<string>(type: "TEXT", nullable: false),
                    Below = table.Column<bool>(type: "INTEGER", nullable: false),
                    Day = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Depth = table.Column<string>(type: "TEXT", nullable: false),
                    Method = table.Column<string>(type: "TEXT", nullable: true),
                    SignedOff = table.Column<bool>(type: "INTEGER", nullable: false),
                    Station = table.Column<string>(type: "TEXT", nullable: false),
                    Text = table.Column<string>(type: "TEXT", nullable: false),
                    Value = table.Column<decimal>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Values", x => new { x.Visit, x.Analyte, x.Place });
                });

            migrationBuilder.CreateIndex(
                name: "IX_Clarities_Station_Day",
                table: "Clarities",
                columns: new[] { "Station", "Day" });

            migrationBuilder.CreateIndex(
                name: "IX_Values_Station_Day",
                table: "Values",
                columns: new[] { "Station", "Day" });
        }
    }
}
