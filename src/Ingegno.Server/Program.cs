using Ingegno.Server;

var builder = WebApplication.CreateBuilder(args);
builder.AddIngegno();
var app = builder.Build();
app.UseIngegno();
await app.PrepareDataAsync();
await app.RunAsync();

/// <summary>Entry point, public for the test host.</summary>
public partial class Program;
