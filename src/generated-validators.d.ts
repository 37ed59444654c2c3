declare module '*-validator.js' {
  const validate: ((value: unknown) => boolean) & {
    errors?: { instancePath: string; message?: string; params?: { additionalProperty?: string } }[] | null;
  };
  export default validate;
}
