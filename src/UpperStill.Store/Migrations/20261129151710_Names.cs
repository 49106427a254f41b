using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace UpperStill.Store.Migrations
{
    /// <inheritdoc />
    public partial class Names : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<Guid>(
                name: "DeliveredById",
                table: "Entries",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<Guid>(
                name: "Person",
                table: "Entries",
                type: "TEXT",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "KnownNames",
                columns: table => new
                {
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Person = table.Column<Guid>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_KnownNames", x => x.Name);
                });

            migrationBuilder.CreateIndex(
                name: "IX_KnownNames_Person",
                table: "KnownNames",
                column: "Person");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "KnownNames");

            migrationBuilder.DropColumn(
                name: "DeliveredById",
                table: "Entries");

            migrationBuilder.DropColumn(
                name: "Person",
                table: "Entries");
        }
    }
}
