using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace UpperStill.Store.Migrations
{
    /// <inheritdoc />
    public partial class Levels : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<double>(
                name: "CompositeFromM",
                table: "Visits",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "CompositeRaiseS",
                table: "Visits",
                type: "REAL",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "Levels",
                columns: table => new
                {
                    Visit = table.Column<Guid>(type: "TEXT", nullable: false),
                    Ordinal = table.Column<int>(type: "INTEGER", nullable: false),
                    Station = table.Column<string>(type: "TEXT", nullable: false),
                    Day = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    DepthM = table.Column<double>(type: "REAL", nullable: false),
                    TemperatureC = table.Column<double>(type: "REAL", nullable: true),
                    OxygenMgL = table.Column<double>(type: "REAL", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Levels", x => new { x.Visit, x.Ordinal });
                });

            migrationBuilder.CreateIndex(
                name: "IX_Levels_Station_Day",
                table: "Levels",
                columns: new[] { "Station", "Day" });
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Levels");

            migrationBuilder.DropColumn(
                name: "CompositeFromM",
                table: "Visits");

            migrationBuilder.DropColumn(
                name: "CompositeRaiseS",
                table: "Visits");
        }
    }
}
