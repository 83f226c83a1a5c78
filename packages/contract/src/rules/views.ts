import { Type } from 'class-transformer';
import { IsArray, IsBoolean, IsIn, IsInt, IsNumber, IsString, ValidateNested } from 'class-validator';

/*
 * What the fields of answers hold. Nothing checks an answer on its way out; these say in the API document, and so in any
 * client made from it, what comes.
 */

function all(...rules: PropertyDecorator[]): PropertyDecorator {
  return (target, key) => {
    for (const rule of rules) rule(target, key);
  };
}

type Shape = () => new () => object;

export const IsText = (): PropertyDecorator => IsString();
export const IsAmount = (): PropertyDecorator => IsNumber();
export const IsCount = (): PropertyDecorator => IsInt();
export const IsYesNo = (): PropertyDecorator => IsBoolean();
export const IsAmong = (choices: readonly string[]): PropertyDecorator => IsIn(choices);
export const IsShaped = (shape: Shape): PropertyDecorator => all(ValidateNested(), Type(shape));
export const IsListed = (shape: Shape): PropertyDecorator =>
  all(IsArray(), ValidateNested({ each: true }), Type(shape));
export const IsTexts = (): PropertyDecorator => all(IsArray(), IsString({ each: true }));
export const IsAmounts = (): PropertyDecorator => all(IsArray(), IsNumber({}, { each: true }));
export const IsCounts = (): PropertyDecorator => all(IsArray(), IsInt({ each: true }));
