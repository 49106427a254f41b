using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace UpperStill.Store.Migrations
{
    /// <inheritdoc />
    public partial class Season : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "Took",
                table: "Visits",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<string>(
                name: "Weekdays",
                table: "Stations",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.CreateTable(
                name: "Laboratories",
                columns: table => new
                {
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    Definition = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Laboratories", x => x.Code);
                });

            migrationBuilder.CreateTable(
                name: "SeasonDays",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Station = table.Column<string>(type: "TEXT", nullable: true),
                    Day = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Why = table.Column<string>(type: "TEXT", nullable: false),
                    By = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_SeasonDays", x => x.Id);
                });

            migrationBuilder.CreateIndex(
                name: "IX_SeasonDays_Day",
                table: "SeasonDays",
                column: "Day");

            // Until now a visit took a clarity or nothing.
            migrationBuilder.Sql("UPDATE Visits SET Took = 'Clarity' WHERE Visit IN (SELECT Visit FROM Clarities);");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Laboratories");

            migrationBuilder.DropTable(
                name: "SeasonDays");

            migrationBuilder.DropColumn(
                name: "Took",
                table: "Visits");

            migrationBuilder.DropColumn(
                name: "Weekdays",
                table: "Stations");
        }
    }
}
