using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Identity;
using UpperStill.Server.Hosting;
using UpperStill.Store;
using UpperStill.Store.People;

namespace UpperStill.Server.People;

/// <summary>Sign-in: accounts in the group's own database, a cookie on the device.</summary>
internal static class PeopleServices
{
    internal static readonly TimeSpan FieldSeason = TimeSpan.FromDays(60);
    private static readonly TimeSpan LinkHolds = TimeSpan.FromDays(7);

    internal static void AddPeople(this IServiceCollection services, Instance instance)
    {
        services.AddScoped<Caller>();
        services.AddSingleton<FirstCoordinator>();
        services.AddSingleton<SignInGuard>();
        services.AddScoped<Accounts>();
        services.AddScoped<SecondFactor>();

        // Kept with the data: else each restart of the server would sign everybody out.
        services
            .AddDataProtection()
            .SetApplicationName("upper-still")
            .PersistKeysToFileSystem(new DirectoryInfo(Path.Combine(instance.DataFolder, Instance.Keys)));
        services.AddAuthentication(IdentityConstants.ApplicationScheme).AddIdentityCookies();
        services.ConfigureApplicationCookie(cookie =>
        {
            cookie.Cookie.Name = "upper-still";
            cookie.Cookie.HttpOnly = true;
            cookie.Cookie.SameSite = SameSiteMode.Strict;
            cookie.ExpireTimeSpan = FieldSeason;
            cookie.SlidingExpiration = true;

            // The demo's clock stands months away; a browser drops a cookie by the real one.
            cookie.TimeProvider = TimeProvider.System;
            // The gate looks at each request whether the session stands and the password is still the same.
            cookie.Events.OnValidatePrincipal = _ => Task.CompletedTask;
            cookie.Events.OnRedirectToLogin = context => Plain(context.Response, StatusCodes.Status401Unauthorized);
            cookie.Events.OnRedirectToAccessDenied = context => Plain(context.Response, StatusCodes.Status403Forbidden);
        });
        services
            .AddIdentityCore<Person>(identity =>
            {
                // Length protects; rules about signs make people write passwords down.
                identity.Password.RequiredLength = 10;
                identity.Password.RequireDigit = false;
                identity.Password.RequireLowercase = false;
                identity.Password.RequireUppercase = false;
                identity.Password.RequireNonAlphanumeric = false;

                // A stranger who guesses must not lock the holder out: see SignInGuard.
                identity.Lockout.AllowedForNewUsers = false;
            })
            .AddEntityFrameworkStores<FieldBook>()
            .AddSignInManager()
            .AddDefaultTokenProviders()
            .AddPasswordValidator<CommonPasswords>();
        services.Configure<DataProtectionTokenProviderOptions>(options => options.TokenLifespan = LinkHolds);
        services.AddAntiforgery(form =>
        {
            form.HeaderName = Gate.TokenHeader;
            form.Cookie.Name = "upper-still-form";
            form.Cookie.SameSite = SameSiteMode.Strict;
            form.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
        });
    }

    private static Task Plain(HttpResponse response, int status)
    {
        response.StatusCode = status;
        return Task.CompletedTask;
    }
}
