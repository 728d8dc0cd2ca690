namespace Ingegno.Core.Anatomy;

/// <summary>Which column of the segment table applies.</summary>
public enum Sex
{
    Female,
    Male,
}
