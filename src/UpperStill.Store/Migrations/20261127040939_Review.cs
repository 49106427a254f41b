using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace UpperStill.Store.Migrations
{
    /// <inheritdoc />
    public partial class Review : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<bool>(
                name: "FieldSigned",
                table: "Visits",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<int>(
                name: "OpenFindings",
                table: "Visits",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.AddColumn<int>(
                name: "OpenQuestions",
                table: "Visits",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.AddColumn<bool>(
                name: "ResultsSigned",
                table: "Visits",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<string>(
                name: "Review",
                table: "Visits",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<string>(
                name: "Method",
                table: "Values",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Method",
                table: "Clarities",
                type: "TEXT",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "Benchmarks",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Water = table.Column<string>(type: "TEXT", nullable: false),
                    Subject = table.Column<string>(type: "TEXT", nullable: false),
                    Above = table.Column<bool>(type: "INTEGER", nullable: false),
                    Value = table.Column<decimal>(type: "TEXT", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Source = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Benchmarks", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "Profiles",
                columns: table => new
                {
                    Visit = table.Column<Guid>(type: "TEXT", nullable: false),
                    Station = table.Column<string>(type: "TEXT", nullable: false),
                    Day = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Usable = table.Column<bool>(type: "INTEGER", nullable: false),
                    SurfaceC = table.Column<double>(type: "REAL", nullable: false),
                    BottomC = table.Column<double>(type: "REAL", nullable: false),
                    ThermoclineM = table.Column<double>(type: "REAL", nullable: true),
                    BottomOxygenMgL = table.Column<double>(type: "REAL", nullable: true),
                    BottomM = table.Column<double>(type: "REAL", nullable: true),
                    HypoxicM = table.Column<double>(type: "REAL", nullable: true),
                    AnoxicM = table.Column<double>(type: "REAL", nullable: true),
                    StabilityJM2 = table.Column<double>(type: "REAL", nullable: true),
                    AnoxicArea = table.Column<double>(type: "REAL", nullable: true),
                    DeepOxygenMgL = table.Column<double>(type: "REAL", nullable: true),
                    DeepThicknessM = table.Column<double>(type: "REAL", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Profiles", x => x.Visit);
                });

            migrationBuilder.CreateTable(
                name: "SeriesJoins",
                columns: table => new
                {
                    Station = table.Column<string>(type: "TEXT", nullable: false),
                    Subject = table.Column<string>(type: "TEXT", nullable: false),
                    Day = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Why = table.Column<string>(type: "TEXT", nullable: false),
                    By = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_SeriesJoins", x => new { x.Station, x.Subject, x.Day });
                });

            migrationBuilder.CreateIndex(
                name: "IX_Visits_Review_Day",
                table: "Visits",
                columns: new[] { "Review", "Day" });

            migrationBuilder.CreateIndex(
                name: "IX_Benchmarks_Water",
                table: "Benchmarks",
                column: "Water");

            migrationBuilder.CreateIndex(
                name: "IX_Profiles_Station_Day",
                table: "Profiles",
                columns: new[] { "Station", "Day" });
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Benchmarks");

            migrationBuilder.DropTable(
                name: "Profiles");

            migrationBuilder.DropTable(
                name: "SeriesJoins");

            migrationBuilder.DropIndex(
                name: "IX_Visits_Review_Day",
                table: "Visits");

            migrationBuilder.DropColumn(
                name: "FieldSigned",
                table: "Visits");

            migrationBuilder.DropColumn(
                name: "OpenFindings",
                table: "Visits");

            migrationBuilder.DropColumn(
                name: "OpenQuestions",
                table: "Visits");

            migrationBuilder.DropColumn(
                name: "ResultsSigned",
                table: "Visits");

            migrationBuilder.DropColumn(
                name: "Review",
                table: "Visits");

            migrationBuilder.DropColumn(
                name: "Method",
                table: "Values");

            migrationBuilder.DropColumn(
                name: "Method",
                table: "Clarities");
        }
    }
}
