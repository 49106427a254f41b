using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace UpperStill.Store.Migrations
{
    /// <inheritdoc />
    public partial class Ledger : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "HeldResults",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Number = table.Column<string>(type: "TEXT", nullable: false),
                    Water = table.Column<string>(type: "TEXT", nullable: true),
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    Why = table.Column<string>(type: "TEXT", nullable: false),
                    Result = table.Column<string>(type: "TEXT", nullable: true),
                    Raw = table.Column<string>(type: "TEXT", nullable: false),
                    File = table.Column<string>(type: "TEXT", nullable: false),
                    Line = table.Column<long>(type: "INTEGER", nullable: false),
                    By = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<string>(type: "TEXT", nullable: false),
                    Settled = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_HeldResults", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "ResultMappings",
                columns: table => new
                {
                    Heads = table.Column<string>(type: "TEXT", nullable: false),
                    Mapping = table.Column<string>(type: "TEXT", nullable: false),
                    By = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_ResultMappings", x => x.Heads);
                });

            migrationBuilder.CreateTable(
                name: "Samples",
                columns: table => new
                {
                    Visit = table.Column<Guid>(type: "TEXT", nullable: false),
                    Number = table.Column<string>(type: "TEXT", nullable: false),
                    Body = table.Column<string>(type: "TEXT", nullable: false),
                    Station = table.Column<string>(type: "TEXT", nullable: false),
                    Water = table.Column<string>(type: "TEXT", nullable: false),
                    Day = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    State = table.Column<string>(type: "TEXT", nullable: false),
                    Open = table.Column<bool>(type: "INTEGER", nullable: false),
                    Manifest = table.Column<Guid>(type: "TEXT", nullable: true),
                    Definition = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Samples", x => new { x.Visit, x.Number });
                });

            migrationBuilder.CreateTable(
                name: "Values",
                columns: table => new
                {
                    Visit = table.Column<Guid>(type: "TEXT", nullable: false),
                    Analyte = table.Column<string>(type: "TEXT", nullable: false),
                    Place = table.Column<string>(type: "TEXT", nullable: false),
                    Station = table.Column<string>(type: "TEXT", nullable: false),
                    Day = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Depth = table.Column<string>(type: "TEXT", nullable: false),
                    Value = table.Column<decimal>(type: "TEXT", nullable: false),
                    Below = table.Column<bool>(type: "INTEGER", nullable: false),
                    Text = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Values", x => new { x.Visit, x.Analyte, x.Place });
                });

            migrationBuilder.CreateIndex(
                name: "IX_Visits_LastSequence",
                table: "Visits",
                column: "LastSequence");

            migrationBuilder.CreateIndex(
                name: "IX_HeldResults_Settled",
                table: "HeldResults",
                column: "Settled");

            migrationBuilder.CreateIndex(
                name: "IX_Samples_Body",
                table: "Samples",
                column: "Body");

            migrationBuilder.CreateIndex(
                name: "IX_Samples_Manifest",
                table: "Samples",
                column: "Manifest");

            migrationBuilder.CreateIndex(
                name: "IX_Samples_Open_Day",
                table: "Samples",
                columns: new[] { "Open", "Day" });

            migrationBuilder.CreateIndex(
                name: "IX_Values_Station_Day",
                table: "Values",
                columns: new[] { "Station", "Day" });
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "HeldResults");

            migrationBuilder.DropTable(
                name: "ResultMappings");

            migrationBuilder.DropTable(
                name: "Samples");

            migrationBuilder.DropTable(
                name: "Values");

            migrationBuilder.DropIndex(
                name: "IX_Visits_LastSequence",
                table: "Visits");
        }
    }
}
